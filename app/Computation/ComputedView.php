<?php

declare(strict_types=1);

namespace App\Computation;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a computation worked out, under the names `compute` gives it. */
#[OA\Schema(additionalProperties: true)]
final readonly class ComputedView extends View
{
    /** @param  array<array-key, mixed>  $result */
    public function __construct(private array $result)
    {
    }

    /** @return array<array-key, mixed> */
    public function jsonSerialize(): array
    {
        return $this->result;
    }
}
