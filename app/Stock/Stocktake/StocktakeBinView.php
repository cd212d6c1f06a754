<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A bin of a stocktake. */
#[OA\Schema]
final readonly class StocktakeBinView extends View
{
    public function __construct(
        #[OA\Property] public string $bin,
        #[OA\Property] public int $parts,
        #[OA\Property(enum: BinState::class)] public string $state,
        #[OA\Property] public ?string $by,
    ) {
    }
}
