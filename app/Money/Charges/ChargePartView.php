<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Parts of one kind, at what they are sold. */
#[OA\Schema]
final readonly class ChargePartView extends View
{
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public int $priceMinor,
    ) {
    }
}
