<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What is likely to fail within a span, gathered into visits. */
#[OA\Schema]
final readonly class WillFailView extends View
{
    /**
     * @param  list<VisitView>  $visits  what saves most first
     * @param  list<PartRiskView>  $notByTheClock  likely to fail, and changing them beforehand saves nothing
     */
    public function __construct(
        #[OA\Property(enum: [1, 2, 4, 8])] public int $weeks,
        #[OA\Property(description: 'machines of the farm')] public int $machines,
        #[OA\Property(description: 'of them worth a visit')] public int $worth,
        #[OA\Property(description: 'that any of what is listed fails within the span, 0 to 1')] public float $oneFails,
        #[OA\Property] public ?int $savesMinor,
        #[OA\Property] public ?int $plannedMinor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: VisitView::class))] public array $visits,
        #[OA\Property(description: 'key of the next page')] public ?string $next,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartRiskView::class))] public array $notByTheClock,
        #[OA\Property(description: 'parts of the farm whose age nobody knows: look at them')] public int $unknownAge,
        #[OA\Property(description: 'when the lives were worked out last')] public ?string $workedOutAt,
    ) {
    }
}
