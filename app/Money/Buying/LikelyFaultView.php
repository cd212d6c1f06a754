<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A fault the seller’s words make likely. */
#[OA\Schema]
final readonly class LikelyFaultView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public float $probability,
        #[OA\Property(description: 'what mending it costs the shop')] public int $mendMinor,
    ) {
    }
}
