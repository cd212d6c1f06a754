<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** The stocktake under way, and the last ones. */
#[OA\Schema]
final readonly class StocktakesView extends View
{
    /** @param  list<PastStocktakeView>  $past */
    public function __construct(
        #[OA\Property] public ?StocktakeView $current,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PastStocktakeView::class))] public array $past,
    ) {
    }
}
