<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class RunController
{
    public function __construct(private ControlRun $control, private RunQuery $runs)
    {
    }

    public function show(int $job): RunView
    {
        return $this->runs->of(Job::query()->with('machine')->findOrFail($job));
    }

    public function start(int $job, StartRunRequest $request): RunView
    {
        Gate::authorize(Ability::Work);
        $this->control->start(
            Job::query()->findOrFail($job),
            $request->string('host')->trim()->toString(),
            $request->integer('port'),
            $request->leaveOut(),
            Here::person(),
            $request->boolean('moved'),
        );

        return $this->show($job);
    }

    public function answer(int $job, int $run, AnswerRunRequest $request): RunView
    {
        Gate::authorize(Ability::Work);
        $this->control->answer(ProofRun::query()->where('job_id', $job)->findOrFail($run), $request->string('answer')->toString());

        return $this->show($job);
    }

    public function stop(int $job, int $run): RunView
    {
        Gate::authorize(Ability::Work);
        $this->control->stop(ProofRun::query()->where('job_id', $job)->findOrFail($run));

        return $this->show($job);
    }

    public function unplugged(int $job, int $run): RunView
    {
        Gate::authorize(Ability::Work);
        $this->control->unplugged(ProofRun::query()->with('job')->where('job_id', $job)->findOrFail($run), Here::person());

        return $this->show($job);
    }

    public function takeBack(int $job, int $run, ShowJob $show): JobView
    {
        Gate::authorize(Ability::Work);
        $this->control->takeBack(
            Job::query()->findOrFail($job),
            ProofRun::query()->where('job_id', $job)->findOrFail($run),
            Here::person(),
        );

        return $show->of($job);
    }
}
