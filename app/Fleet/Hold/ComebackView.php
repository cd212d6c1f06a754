<?php

declare(strict_types=1);

namespace App\Fleet\Hold;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How many repairs came back. */
#[OA\Schema]
final readonly class ComebackView extends View
{
    public function __construct(
        #[OA\Property(description: 'fault or person')] public string $name,
        #[OA\Property] public int $jobs,
        #[OA\Property] public int $cameBack,
        #[OA\Property(description: 'so many are usual of such jobs here')] public float $expected,
        #[OA\Property] public string $because,
    ) {
    }
}
