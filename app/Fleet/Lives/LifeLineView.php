<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How long parts of a group last, on one line. */
#[OA\Schema]
final readonly class LifeLineView extends View
{
    public function __construct(
        #[OA\Property] public string $partClass,
        #[OA\Property(description: 'of the class, or of the group within it')] public string $name,
        #[OA\Property(description: 'number of the part')] public ?string $part,
        #[OA\Property] public ?string $family,
        #[OA\Property] public ?string $circumstance,
        #[OA\Property] public int $failures,
        #[OA\Property] public int $running,
        #[OA\Property(description: 'print hours, between low and high (95 %)')] public float $meanHours,
        #[OA\Property] public float $lowHours,
        #[OA\Property(description: 'null: too few failed to bound it')] public ?float $highHours,
        #[OA\Property] public float $shape,
        #[OA\Property(description: 'enough failed here to go by this shop alone')] public bool $own,
        #[OA\Property(description: 'too few of the group failed, so all of its class here count along')] public bool $leansOnAll,
        #[OA\Property] public ?float $tradeHours,
        #[OA\Property(description: 'the day enough had failed')] public ?string $believedFrom,
        #[OA\Property(description: 'it differs from the others of its class by more than chance')] public bool $differs,
        #[OA\Property] public int $notCounted,
    ) {
    }
}
