<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A family, or a fault, in money. */
#[OA\Schema]
final readonly class LedgerLine extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $jobs,
        #[OA\Property] public float $handsMinutes,
        #[OA\Property(description: 'hands at what they cost the shop')] public int $handsMinor,
        #[OA\Property(description: 'at cost')] public int $partsMinor,
        #[OA\Property(description: 'net, by bills')] public int $chargedMinor,
        #[OA\Property(description: 'what the shop bore: comebacks, own mistakes')] public int $warrantyMinor,
        #[OA\Property(description: 'charged less hands and parts of owners’ machines')] public int $leftMinor,
    ) {
    }
}
