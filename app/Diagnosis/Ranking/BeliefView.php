<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A fault and a probability. */
#[OA\Schema]
final readonly class BeliefView extends View
{
    public function __construct(
        #[OA\Property] public string $fault,
        #[OA\Property] public string $name,
        #[OA\Property] public float $probability,
    ) {
    }
}
