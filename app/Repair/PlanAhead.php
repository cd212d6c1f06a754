<?php

declare(strict_types=1);

namespace App\Repair;

use App\Intake\JobState;
use App\Repair\Guides\GuideRun;
use App\Repair\Service\PlannedOfJob;
use App\Stock\Orders\WorkAhead;

/** Tells the shelf what the open jobs are still to have mended. */
final readonly class PlanAhead implements WorkAhead
{
    public function of(JobState $state): array
    {
        $work = WorkOnJob::of($state);

        return [
            'faults' => $work->unmended($state),
            'classes' => PlannedOfJob::of($state)->classes(),
            'guides' => array_values($work->guideRuns->whereNull('ended_at')->map(static fn (GuideRun $r): string => $r->guide)->all()),
        ];
    }
}
