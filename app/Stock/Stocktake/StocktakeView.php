<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A stocktake under way. */
#[OA\Schema]
final readonly class StocktakeView extends View
{
    /**
     * @param  list<StocktakeBinView>  $lines
     * @param  list<VarianceView>  $variances
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $bins,
        #[OA\Property] public string $startedAt,
        #[OA\Property] public string $by,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StocktakeBinView::class))] public array $lines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: VarianceView::class))] public array $variances,
    ) {
    }
}
