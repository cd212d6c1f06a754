<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a bought machine made. */
#[OA\Schema]
final readonly class SoldView extends View
{
    public function __construct(
        #[OA\Property] public ?int $priceMinor,
        #[OA\Property(description: 'parts used in it, at cost')] public int $partsMinor,
        #[OA\Property] public float $handsMinutes,
        #[OA\Property(description: 'price less what was paid, freight, what was missing, selling and parts')] public ?int $madeMinor,
        #[OA\Property(description: 'the same for an hour of hands')] public ?int $perHourMinor,
        #[OA\Property] public ?string $soldAt,
    ) {
    }
}
