<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Machines whose counters can be read, in the order of their tags. */
#[OA\Schema]
final readonly class CountersView extends View
{
    /** @param  list<CounterLine>  $lines */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: CounterLine::class))] public array $lines,
        #[OA\Property] public int $all,
        #[OA\Property(description: 'the tag to go on after')] public ?string $next,
    ) {
    }
}
