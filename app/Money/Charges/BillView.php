<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A bill that was written. */
#[OA\Schema]
final readonly class BillView extends View
{
    /** @param  list<BillLineView>  $lines */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property] public string $at,
        #[OA\Property] public string $by,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BillLineView::class))] public array $lines,
        #[OA\Property] public int $netMinor,
        #[OA\Property] public float $taxPct,
        #[OA\Property] public int $taxMinor,
        #[OA\Property] public int $grossMinor,
        #[OA\Property(description: 'the shop bears it')] public ?string $freeBecause,
        #[OA\Property(description: 'what it cost the shop')] public int $ownCostMinor,
    ) {
    }

    /** The relation person must be loaded. */
    public static function of(Bill $bill): self
    {
        return new self(
            $bill->number,
            $bill->at->toIso8601String(),
            $bill->person->name,
            array_map(static fn (array $line): BillLineView => new BillLineView($line['what'], $line['minor']), $bill->lines),
            $bill->net_minor,
            (float) $bill->tax_pct,
            $bill->tax_minor,
            $bill->gross_minor,
            $bill->free_because,
            $bill->own_cost_minor,
        );
    }
}
