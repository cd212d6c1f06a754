<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A day, and how often it holds. */
#[OA\Schema]
final readonly class DayChanceView extends View
{
    public function __construct(
        #[OA\Property] public string $day,
        #[OA\Property(description: '0 to 1')] public float $chance,
    ) {
    }
}
