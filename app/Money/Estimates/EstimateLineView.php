<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\View;
use OpenApi\Attributes as OA;

/** One way a job may turn out. */
#[OA\Schema]
final readonly class EstimateLineView extends View
{
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public float $probability,
        #[OA\Property(description: 'of hands, finding out included')] public int $minutes,
        #[OA\Property] public int $partsMinor,
        #[OA\Property(description: 'with tax')] public int $sumMinor,
    ) {
    }
}
