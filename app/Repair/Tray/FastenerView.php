<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Fasteners of one size on the tray. */
#[OA\Schema]
final readonly class FastenerView extends View
{
    public function __construct(
        #[OA\Property] public string $size,
        #[OA\Property] public int $count,
        #[OA\Property(description: 'how many lie in the tray now')] public int $lies,
        #[OA\Property(description: 'places that were empty on opening')] public int $missing,
        #[OA\Property] public ?float $diameterMm,
        #[OA\Property] public ?float $lengthMm,
        #[OA\Property] public ?string $head,
    ) {
    }
}
