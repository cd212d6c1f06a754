<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How many lie in a bin. */
#[OA\Schema]
final readonly class BinStockView extends View
{
    public function __construct(
        #[OA\Property] public string $bin,
        #[OA\Property] public int $onHand,
    ) {
    }
}
