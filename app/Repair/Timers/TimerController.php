<?php

declare(strict_types=1);

namespace App\Repair\Timers;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Repair\Guides\GuideRun;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class TimerController
{
    public function __construct(private ShowJob $show, private RunTimer $timers)
    {
    }

    public function start(int $job, StartTimerRequest $request): JobView
    {
        Gate::authorize(Ability::Work);
        $this->timers->start(
            Job::query()->findOrFail($job),
            $request->string('name')->trim()->toString(),
            $request->float('minutes'),
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function startStep(int $job, int $run, int $step): JobView
    {
        Gate::authorize(Ability::Work);
        $this->timers->startStep(
            Job::query()->findOrFail($job),
            GuideRun::query()->where('job_id', $job)->whereNull('ended_at')->findOrFail($run),
            $step,
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function stop(int $job, int $timer): JobView
    {
        Gate::authorize(Ability::Work);
        $this->timers->stop(Timer::query()->where('job_id', $job)->findOrFail($timer), Here::person());

        return $this->show->of($job);
    }
}
