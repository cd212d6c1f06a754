<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Ability;
use App\Shop\Here;
use App\Stock\Kits\ReserveKit;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;

final readonly class GuideController
{
    public function __construct(private ShowJob $show, private Knowledge $knowledge)
    {
    }

    public function index(GuidesQuery $guides): GuidesView
    {
        return new GuidesView($guides->lines($guides->all(), Here::person()));
    }

    public function show(string $code, GuidesQuery $guides, GuideWords $words): GuideView
    {
        $guide = $this->knowledge->guides[$code] ?? abort(404);

        return $words->guide($guide, $guides->lines([$guide], Here::person())[0]);
    }

    public function start(int $job, StartGuideRequest $request, RunGuide $run): JobView
    {
        Gate::authorize(Ability::Work);
        $run->start(Job::query()->findOrFail($job), $request->string('guide')->toString(), $request->words('school'), Here::person());

        return $this->show->of($job);
    }

    public function tick(int $job, int $run, int $step, RunGuide $guide): JobView
    {
        Gate::authorize(Ability::Work);
        $guide->tick(Job::query()->findOrFail($job), $run, $step, Here::person());

        return $this->show->of($job);
    }

    public function untick(int $job, int $run, int $step, RunGuide $guide): JobView
    {
        Gate::authorize(Ability::Work);
        $guide->untick(Job::query()->findOrFail($job), $run, $step, Here::person());

        return $this->show->of($job);
    }

    public function end(int $job, int $run, EndGuideRequest $request, RunGuide $guide): JobView
    {
        Gate::authorize(Ability::Work);
        $guide->end(Job::query()->findOrFail($job), $run, $request->boolean('givenUp'), $request->numberOrNull('minutes'), Here::person());

        return $this->show->of($job);
    }

    public function reserve(int $job, int $run, ReserveKit $reserve): JobView
    {
        Gate::authorize(Ability::Work);
        $found = GuideRun::query()->where('job_id', $job)->findOrFail($run);
        $reserve->reserve(Job::query()->findOrFail($job), $this->knowledge->guide($found->guide), $found->school, Here::person());

        return $this->show->of($job);
    }

    public function release(int $job, ReserveKit $reserve): JobView
    {
        Gate::authorize(Ability::Work);
        $reserve->release(Job::query()->findOrFail($job), Here::person());

        return $this->show->of($job);
    }
}
