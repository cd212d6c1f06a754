<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something that came out and is not accounted for. */
#[OA\Schema]
final readonly class DifferenceView extends View
{
    /**
     * @param  list<int>  $steps  numbers
     */
    public function __construct(
        #[OA\Property(enum: DifferenceKind::class)] public string $kind,
        #[OA\Property] public string $what,
        #[OA\Property] public int $out,
        #[OA\Property] public int $in,
        #[OA\Property] public string $because,
        #[OA\Property] public bool $explained,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $steps,
    ) {
    }
}
