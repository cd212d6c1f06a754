<?php

declare(strict_types=1);

namespace App\Computation;

use App\Api\TakesFile;
use Illuminate\Http\Request;
use OddBench\Computation\Catalogue;
use OddBench\Input\JsonObject;
use OddBench\Knowledge\Knowledge;

/** Every computation by its name, as `compute` does it: a JSON object in, a JSON object out; nothing is kept. */
final readonly class ComputationController
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    #[TakesFile(orJson: [])]
    public function compute(string $name, Request $request): ComputedView
    {
        return new ComputedView(Catalogue::of($this->knowledge)->named($name)->compute(JsonObject::decode($request->getContent())));
    }
}
