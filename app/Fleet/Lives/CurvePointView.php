<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Of a hundred so many still work at these hours. */
#[OA\Schema]
final readonly class CurvePointView extends View
{
    public function __construct(
        #[OA\Property] public float $hours,
        #[OA\Property] public float $of100,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property(description: 'by the trade’s word')] public ?float $trade,
    ) {
    }
}
