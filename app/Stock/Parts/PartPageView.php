<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\View;
use App\Stock\Batches\BatchView;
use App\Stock\Kits\PromisedView;
use App\Stock\Made\RecipeView;
use App\Stock\Orders\OfferView;
use App\Stock\Orders\SupplyView;
use App\Stock\Shelf\BinStockView;
use App\Stock\Shelf\MovementView;
use OpenApi\Attributes as OA;

/** A part with everything that is known of it. */
#[OA\Schema]
final readonly class PartPageView extends View
{
    /**
     * @param  list<BinStockView>  $bins
     * @param  list<OfferView>  $offers
     * @param  list<PromisedView>  $promised
     * @param  list<FittedView>  $fitted
     * @param  list<OtherPartView>  $substitutes
     * @param  list<OtherPartView>  $standsInFor
     * @param  list<OtherPartView>  $used
     * @param  list<OtherPartView>  $predecessors
     * @param  list<BatchView>  $batches
     * @param  list<MovementView>  $movements
     */
    public function __construct(
        #[OA\Property] public PartView $part,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BinStockView::class))] public array $bins,
        #[OA\Property] public FitsView $fits,
        #[OA\Property] public string $words,
        #[OA\Property] public ?string $notes,
        #[OA\Property(description: 'its own; nothing for that of its class')] public ?int $shelfLifeWeeks,
        #[OA\Property(description: 'address of its picture')] public ?string $photo,
        #[OA\Property] public int $version,
        #[OA\Property] public ?SupplyView $supply,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OfferView::class))] public array $offers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PromisedView::class))] public array $promised,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FittedView::class))] public array $fitted,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OtherPartView::class))] public array $substitutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OtherPartView::class))] public array $standsInFor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OtherPartView::class))] public array $used,
        #[OA\Property] public ?OtherPartView $usedOf,
        #[OA\Property] public ?OtherPartView $successor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OtherPartView::class))] public array $predecessors,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BatchView::class))] public array $batches,
        #[OA\Property] public ?RecipeView $recipe,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MovementView::class))] public array $movements,
    ) {
    }
}
