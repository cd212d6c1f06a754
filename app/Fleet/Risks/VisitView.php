<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What is changed on one machine while it is open. */
#[OA\Schema]
final readonly class VisitView extends View
{
    /** @param  list<PartRiskView>  $parts  what saves most first */
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $place,
        #[OA\Property(description: 'rack, shelf and place where it stands')] public ?string $stands,
        #[OA\Property] public ?int $openJob,
        #[OA\Property] public ?float $hours,
        #[OA\Property] public ?float $perWeek,
        #[OA\Property(description: 'that any of its parts fails within the span, 0 to 1')] public float $risk,
        #[OA\Property] public ?int $savesMinor,
        #[OA\Property(description: 'parts and hands, opening it once')] public ?int $plannedMinor,
        #[OA\Property(description: 'what comes round on it and is due')] public ?string $serviceDue,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartRiskView::class))] public array $parts,
    ) {
    }
}
