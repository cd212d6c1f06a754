<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Diagnosis\Faults\ConfirmFaults;
use App\Diagnosis\Faults\ConfirmFaultsRequest;
use App\Diagnosis\Faults\PassFindRequest;
use App\Diagnosis\Faults\SupersedeRequest;
use App\Diagnosis\Findings\FindView;
use App\Diagnosis\Findings\HideCheck;
use App\Diagnosis\Findings\HideCheckRequest;
use App\Diagnosis\Findings\JobFinding;
use App\Diagnosis\Findings\RecordFinding;
use App\Diagnosis\Findings\RecordFindingsRequest;
use App\Diagnosis\Findings\RecordReading;
use App\Diagnosis\Findings\RecordReadingRequest;
use App\Diagnosis\Findings\ShowFind;
use App\Diagnosis\Findings\WithdrawFinding;
use App\Diagnosis\Ranking\DiagnosisView;
use App\Diagnosis\Ranking\ShowDiagnosis;
use App\Diagnosis\Ranking\ShowDiagnosisRequest;
use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class DiagnosisController
{
    public function __construct(private ShowJob $show, private ShowFind $find)
    {
    }

    public function show(int $job, ShowDiagnosisRequest $request, ShowDiagnosis $diagnosis): DiagnosisView
    {
        return $diagnosis->of(JobState::of(Job::query()->findOrFail($job)), $request->swapFirst());
    }

    public function record(int $job, RecordFindingsRequest $request, RecordFinding $record): FindView
    {
        Gate::authorize(Ability::Work);
        $record->record($job, $request->findings(), $request->checks(), $request->words('value'), Here::person());

        return $this->find->of($job, $request->swapFirst());
    }

    public function reading(int $job, RecordReadingRequest $request, RecordReading $record): FindView
    {
        Gate::authorize(Ability::Work);
        $record->record(Job::query()->findOrFail($job), $request->string('check')->toString(), $request->float('value'), Here::person());

        return $this->find->of($job, $request->swapFirst());
    }

    public function withdraw(int $job, int $finding, ShowDiagnosisRequest $request, WithdrawFinding $withdraw): FindView
    {
        Gate::authorize(Ability::Work);
        $withdraw->withdraw(
            Job::query()->findOrFail($job),
            JobFinding::query()->where('job_id', $job)->findOrFail($finding),
            Here::person(),
        );

        return $this->find->of($job, $request->swapFirst());
    }

    public function hide(int $job, HideCheckRequest $request, HideCheck $hide): FindView
    {
        Gate::authorize(Ability::Work);
        $hide->hide(Job::query()->findOrFail($job), $request->string('check')->toString(), Here::person());

        return $this->find->of($job, $request->swapFirst());
    }

    public function confirm(int $job, ConfirmFaultsRequest $request, ConfirmFaults $confirm): JobView
    {
        Gate::authorize(Ability::Work);
        /** @var list<string> $faults */
        $faults = array_values((array) $request->validated('faults'));
        $confirm->confirm($job, $faults, $request->integer('version'), Here::person());

        return $this->show->of($job);
    }

    public function pass(int $job, PassFindRequest $request, ConfirmFaults $confirm): JobView
    {
        Gate::authorize(Ability::Work);
        $confirm->pass(
            $job,
            $request->string('reason')->toString(),
            $request->integer('version'),
            Here::person(),
        );

        return $this->show->of($job);
    }

    public function supersede(int $job, SupersedeRequest $request, ConfirmFaults $confirm): JobView
    {
        Gate::authorize(Ability::Work);
        $confirm->supersede(
            $job,
            $request->string('fault')->toString(),
            $request->words('overturnedBy'),
            $request->integer('version'),
            Here::person(),
        );

        return $this->show->of($job);
    }
}
