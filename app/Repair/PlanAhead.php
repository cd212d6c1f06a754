<?php

declare(strict_types=1);

namespace App\Repair;

use App\Intake\JobState;
use App\Repair\Guides\GuideRun;
use App\Repair\Service\PlannedOfJob;
use App\Stock\Orders\WorkAhead;
use Illuminate\Database\Eloquent\Builder;

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

    public function only(Builder $jobs): Builder
    {
        return $jobs->where(static fn (Builder $q) => $q
            ->whereExists(static fn ($in) => $in->from('diagnoses')->whereColumn('job_id', 'jobs.id')->whereNull('superseded_at'))
            ->orWhereExists(static fn ($in) => $in->from('guide_runs')->whereColumn('job_id', 'jobs.id')->whereNull('ended_at'))
            ->orWhereExists(static fn ($in) => $in->from('planned_changes')->whereColumn('job_id', 'jobs.id')));
    }
}
