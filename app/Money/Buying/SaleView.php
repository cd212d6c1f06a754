<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a machine was sold for. */
#[OA\Schema]
final readonly class SaleView extends View
{
    public function __construct(
        #[OA\Property] public int $priceMinor,
        #[OA\Property] public string $at,
    ) {
    }
}
