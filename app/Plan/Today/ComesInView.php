<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something that is ordered and comes. */
#[OA\Schema]
final readonly class ComesInView extends View
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $name,
        #[OA\Property] public int $pieces,
        #[OA\Property(description: 'it should have come')] public bool $late,
    ) {
    }
}
