<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Tablets\Signer;
use App\Shop\Tablets\SignRequest;
use Illuminate\Support\Facades\Gate;

final readonly class SafetyController
{
    public function __construct(private ShowJob $show, private Signer $signer)
    {
    }

    public function answer(int $job, AnswerSafetyRequest $request, AnswerSafety $answer): JobView
    {
        Gate::authorize(Ability::Work);
        $answer->answer(Job::query()->findOrFail($job), $request->answers(), Here::person());

        return $this->show->of($job);
    }

    public function putOn(int $job, PutOnRedTagRequest $request, PutOnRedTag $redTag): JobView
    {
        Gate::authorize(Ability::Work);
        $redTag->byHand(Job::query()->findOrFail($job), $request->string('reason')->toString(), Here::person());

        return $this->show->of($job);
    }

    public function askOff(int $job, AskTagOffRequest $request, TakeOffRedTag $redTag): JobView
    {
        $redTag->ask(
            Job::query()->findOrFail($job),
            $request->string('cause')->toString(),
            $request->string('measurement')->toString(),
            $this->signer->signs(Ability::Work, $request),
        );

        return $this->show->of($job);
    }

    public function countersign(int $job, SignRequest $request, TakeOffRedTag $redTag): JobView
    {
        $redTag->countersign(Job::query()->findOrFail($job), $this->signer->signs(Ability::Countersign, $request));

        return $this->show->of($job);
    }

    public function signTest(int $job, SignTestRequest $request, TakeOffRedTag $redTag): JobView
    {
        $redTag->signTest(
            Job::query()->findOrFail($job),
            $request->string('check')->toString(),
            $request->string('besideTheSwitch')->toString(),
            $this->signer->signs(Ability::Countersign, $request),
        );

        return $this->show->of($job);
    }
}
