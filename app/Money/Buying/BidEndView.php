<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A way it may end. */
#[OA\Schema]
final readonly class BidEndView extends View
{
    public function __construct(
        #[OA\Property] public string $end,
        #[OA\Property] public float $probability,
    ) {
    }
}
