<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a seller’s words make likely, and the tests and figures to begin a sheet with. */
#[OA\Schema]
final readonly class OfferLookView extends View
{
    /**
     * @param  list<LikelyFaultView>  $likely
     * @param  list<BidStageView>  $stages
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LikelyFaultView::class))] public array $likely,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BidStageView::class))] public array $stages,
        #[OA\Property(description: 'worth in parts')] public int $partsMinor,
        #[OA\Property(description: 'how sure that is')] public string $partsSure,
        #[OA\Property(description: 'the middle of what this family sold for here')] public ?int $sellsMinor,
        #[OA\Property] public int $sellingMinor,
        #[OA\Property] public int $marginMinor,
        #[OA\Property(description: 'it has a feeder that may be missing')] public bool $feeder,
        #[OA\Property] public int $mostMinor,
    ) {
    }
}
