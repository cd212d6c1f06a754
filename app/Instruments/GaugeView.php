<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A result on its scale. */
#[OA\Schema]
final readonly class GaugeView extends View
{
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public string $unit,
        #[OA\Property] public float $value,
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public float $okFrom,
        #[OA\Property] public float $okTo,
        #[OA\Property] public float $watchFrom,
        #[OA\Property] public float $watchTo,
    ) {
    }
}
