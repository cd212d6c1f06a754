<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A stocktake that is ended. */
#[OA\Schema]
final readonly class PastStocktakeView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $startedAt,
        #[OA\Property] public string $by,
        #[OA\Property] public string $bins,
        #[OA\Property] public bool $posted,
        #[OA\Property] public int $corrections,
        #[OA\Property] public int $valueMinor,
    ) {
    }
}
