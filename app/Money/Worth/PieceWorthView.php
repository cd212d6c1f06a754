<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What one part of a machine is worth on the shelf. */
#[OA\Schema]
final readonly class PieceWorthView extends View
{
    public function __construct(
        #[OA\Property] public string $position,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'a new one')] public int $priceMinor,
        #[OA\Property] public ?float $runH,
        #[OA\Property(description: 'share of a new one that is left')] public float $left,
        #[OA\Property] public int $askedLastYear,
        #[OA\Property] public int $askedTwoYears,
        #[OA\Property] public int $onShelf,
        #[OA\Property(description: 'probability that one more is asked for within a year')] public float $asked,
        #[OA\Property(description: 'after taking it out')] public int $worthMinor,
    ) {
    }
}
