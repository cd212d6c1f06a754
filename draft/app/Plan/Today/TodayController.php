<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Intake\Job;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

final readonly class TodayController
{
    public function show(TodayQuery $today): TodayView
    {
        return $today->read(Here::person());
    }

    /** What moving a step costs; and, unless it is only tried, it is moved. */
    public function move(MoveStepRequest $request, MoveStep $move): MovedView
    {
        Gate::authorize(Ability::Work);
        $job = Job::query()->with('machine')->whereNull('finished_at')->findOrFail($request->integer('job'));
        $step = $request->string('step')->toString();
        $id = $request->wholeOrNull('person');
        $who = $id === null ? null : Person::query()->whereNull('left_at')->findOrFail($id);
        $notBefore = $request->words('notBefore') === null ? null : Carbon::parse($request->string('notBefore')->toString())->utc();
        $change = $move->cost($job, $step, $who, $notBefore);
        if (! $request->boolean('tryOnly')) {
            $move->move($job, $step, $who, $notBefore, Here::person());
        }

        return new MovedView($change->costs, $change->gains, ! $request->boolean('tryOnly'));
    }

    /** A step that was moved goes where the plan puts it. */
    public function undo(MoveStepRequest $request, MoveStep $move): MovedView
    {
        Gate::authorize(Ability::Work);
        $job = Job::query()->with('machine')->whereNull('finished_at')->findOrFail($request->integer('job'));
        $move->undo($job, $request->string('step')->toString(), Here::person());

        return new MovedView([], [], true);
    }
}
