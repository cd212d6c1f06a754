<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A line of a bill. */
#[OA\Schema]
final readonly class BillLineView extends View
{
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public int $minor,
    ) {
    }
}
