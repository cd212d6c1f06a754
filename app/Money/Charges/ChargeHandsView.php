<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Minutes of hands of one person at one station. */
#[OA\Schema]
final readonly class ChargeHandsView extends View
{
    public function __construct(
        #[OA\Property] public string $station,
        #[OA\Property] public string $person,
        #[OA\Property] public float $minutes,
    ) {
    }
}
