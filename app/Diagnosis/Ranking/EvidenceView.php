<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What one finding does to a fault’s odds. */
#[OA\Schema]
final readonly class EvidenceView extends View
{
    public function __construct(
        #[OA\Property] public string $finding,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $present,
        #[OA\Property(description: 'the odds with all findings over the odds without this one')] public float $factor,
    ) {
    }
}
