<?php

declare(strict_types=1);

namespace App\Bench;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Jobs that wait for the same thing. */
#[OA\Schema]
final readonly class BenchGroup extends View
{
    /** @param  list<BenchLine>  $lines */
    public function __construct(
        #[OA\Property(enum: GroupCode::class)] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $summary,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BenchLine::class))] public array $lines,
    ) {
    }
}
