<?php

declare(strict_types=1);

namespace App\Repair;

use App\Api\View;
use App\Repair\Guides\GuideLineView;
use App\Repair\Guides\GuideRunView;
use App\Repair\Service\PlannedChangeView;
use App\Repair\Service\ServiceItemView;
use App\Repair\Tray\DifferenceView;
use App\Repair\Tray\SubstituteView;
use App\Repair\Tray\TrayStepView;
use OpenApi\Attributes as OA;

/** What the station Fix shows besides the job. */
#[OA\Schema]
final readonly class FixView extends View
{
    /**
     * @param  list<TrayStepView>  $steps  in the order they came off
     * @param  list<int>  $reassembly  numbers, in the order they go back
     * @param  list<DifferenceView>  $differences
     * @param  list<SubstituteView>  $substitutes
     * @param  list<string>  $explanations
     * @param  list<string>  $sizes  fasteners this family usually has, the most used first
     * @param  list<string>  $sockets
     * @param  list<string>  $often  what was taken off sister machines before
     * @param  list<GuideLineView>  $guides  those for this job first
     * @param  list<GuideRunView>  $runs  open ones
     * @param  list<ServiceItemView>  $service
     * @param  list<PlannedChangeView>  $changes  before they fail
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrayStepView::class))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $reassembly,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DifferenceView::class))] public array $differences,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SubstituteView::class))] public array $substitutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $explanations,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $sizes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $sockets,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $often,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GuideLineView::class))] public array $guides,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GuideRunView::class))] public array $runs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ServiceItemView::class))] public array $service,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlannedChangeView::class))] public array $changes,
        #[OA\Property(description: 'parts promised to this job')] public int $promised,
    ) {
    }
}
