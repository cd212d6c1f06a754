<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Today by the plan. */
#[OA\Schema]
final readonly class TodayView extends View
{
    /**
     * @param  list<array{string, string}>  $open
     * @param  list<PlanPersonView>  $people
     * @param  list<PlanStepView>  $alone
     * @param  list<ComesInView>  $comesIn
     * @param  list<NightStepView>  $night
     * @param  list<NightStepView>  $look
     * @param  list<NightStepView>  $notAtNight
     * @param  list<string>  $costs
     * @param  list<string>  $gains
     * @param  list<WarningView>  $warnings
     * @param  list<UnplannedView>  $unplanned
     */
    public function __construct(
        #[OA\Property] public string $now,
        #[OA\Property] public string $day,
        #[OA\Property(description: 'null before the first plan')] public ?string $madeAt,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')), description: 'shop hours')]
        public array $open,
        #[OA\Property(description: 'the ruler begins and ends')] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanPersonView::class))] public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanStepView::class), description: 'what goes by itself today')]
        public array $alone,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ComesInView::class))] public array $comesIn,
        #[OA\Property(description: 'when it is time to think of the night')] public ?string $nightAt,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NightStepView::class))] public array $night,
        #[OA\Property(description: 'under way, though not to be left alone', type: 'array', items: new OA\Items(ref: NightStepView::class))]
        public array $look,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NightStepView::class))] public array $notAtNight,
        #[OA\Property(description: 'what was promised for today and tomorrow, in words')] public string $holds,
        #[OA\Property(description: 'why the plan was made anew')] public string $changedBecause,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $costs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $gains,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WarningView::class))] public array $warnings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: UnplannedView::class))] public array $unplanned,
        #[OA\Property(description: 'how good the plan is, in words')] public string $quality,
        #[OA\Property(description: 'what the one who asks does next')] public ?PlanStepView $next,
        #[OA\Property(description: 'something has changed since, and a new plan is on its way')] public bool $stale,
    ) {
    }
}
