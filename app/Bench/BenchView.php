<?php

declare(strict_types=1);

namespace App\Bench;

use App\Api\View;
use App\Plan\Today\WarningView;
use App\Repair\Timers\TimerView;
use OpenApi\Attributes as OA;

/** What to do now. */
#[OA\Schema]
final readonly class BenchView extends View
{
    /**
     * @param  list<BenchGroup>  $groups
     * @param  list<TaggedView>  $redTags
     * @param  list<TimerView>  $timers  clocks that run, the first to ring first
     * @param  list<ServiceLine>  $service  our own machines on which service is due
     * @param  list<WarningView>  $warnings
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: BenchGroup::class))] public array $groups,
        #[OA\Property(description: 'the job to take up next')] public ?BenchLine $pick,
        #[OA\Property(description: 'why that one, in words')] public string $pickBecause,
        #[OA\Property] public int $minutesReady,
        #[OA\Property(description: 'minutes of hands spent today, by everybody')] public int $minutesDone,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TaggedView::class))] public array $redTags,
        #[OA\Property] public string $now,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TimerView::class))] public array $timers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ServiceLine::class))] public array $service,
        #[OA\Property(description: 'said when the disk is nearly full')] public ?string $diskLow,
        #[OA\Property(description: 'said when the last backup that was proved is too old')] public ?string $backup,
        #[OA\Property(description: 'claims rather mended than waited for; null for whom money is not shown')] public ?int $claimsToMend,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WarningView::class), description: 'promises that do not hold by the plan')]
        public array $warnings,
        #[OA\Property(description: 'letters to owners who have not come')] public ?int $lettersDue,
    ) {
    }
}
