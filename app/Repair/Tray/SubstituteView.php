<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A screw that stands in for another. */
#[OA\Schema]
final readonly class SubstituteView extends View
{
    public function __construct(
        #[OA\Property] public int $step,
        #[OA\Property] public string $insteadOf,
        #[OA\Property] public string $fitted,
        #[OA\Property] public bool $safe,
        #[OA\Property] public string $because,
    ) {
    }
}
