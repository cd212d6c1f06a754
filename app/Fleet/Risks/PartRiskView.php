<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part that may fail, and what changing it now would save. */
#[OA\Schema]
final readonly class PartRiskView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $position,
        #[OA\Property] public string $name,
        #[OA\Property] public string $partClass,
        #[OA\Property(description: 'number of the part that sits there')] public ?string $part,
        #[OA\Property(description: 'print hours it has; null where nobody knows')] public ?float $ageHours,
        #[OA\Property(description: 'that it fails within the span, 0 to 1')] public float $risk,
        #[OA\Property(description: 'at these hours it is changed best; null: not by the clock')] public ?float $changeAtHours,
        #[OA\Property(description: 'how many of its kind failed here; 0: by the trade’s word')] public int $failures,
        #[OA\Property(description: 'why it is, or is not, changed by the clock')] public string $because,
        #[OA\Property(description: 'changing it now against waiting, minor units; null for those who do not see money')]
        public ?int $savesMinor,
        #[OA\Property] public ?int $plannedMinor,
        #[OA\Property] public ?int $failureMinor,
        #[OA\Property(description: 'code of the guide that says how')] public ?string $guide,
        #[OA\Property(description: 'how many of what its family gets lie on the shelf, promised to nobody')] public int $free,
        #[OA\Property(description: 'a job is to change it already')] public bool $planned,
    ) {
    }
}
