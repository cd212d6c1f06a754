<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class OrderLineView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $part,
        #[OA\Property] public string $name,
        #[OA\Property] public string $bin,
        #[OA\Property] public int $packs,
        #[OA\Property] public int $pack,
        #[OA\Property] public int $packCostMinor,
        #[OA\Property] public int $received,
        #[OA\Property] public int $open,
    ) {
    }
}
