<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a span cost and brought. */
#[OA\Schema]
final readonly class LedgerView extends View
{
    /**
     * @param  list<LedgerLine>  $families
     * @param  list<LedgerLine>  $faults  those that cost most first
     * @param  list<ResaleLine>  $resale
     */
    public function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property] public float $handsMinutes,
        #[OA\Property] public int $handsMinor,
        #[OA\Property] public int $partsMinor,
        #[OA\Property(description: 'net, by bills')] public int $chargedMinor,
        #[OA\Property] public int $taxMinor,
        #[OA\Property(description: 'what the shop bore: comebacks, own mistakes')] public int $warrantyMinor,
        #[OA\Property] public int $boughtMinor,
        #[OA\Property] public int $soldMinor,
        #[OA\Property(description: 'at the end of the span')] public int $stockMinor,
        #[OA\Property] public int $bills,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LedgerLine::class))] public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LedgerLine::class))] public array $faults,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ResaleLine::class))] public array $resale,
    ) {
    }
}
