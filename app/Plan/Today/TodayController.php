<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class TodayController
{
    public function show(TodayQuery $today): TodayView
    {
        return $today->read(Here::person());
    }

    /** What moving a step would cost; nothing is moved. */
    public function cost(MoveStepRequest $request, MoveStep $move): MovedView
    {
        Gate::authorize(Ability::Work);
        $change = $move->cost($request->job(), $request->step(), $request->who(), $request->notBefore());

        return new MovedView($change->costs, $change->gains, false);
    }

    public function move(MoveStepRequest $request, MoveStep $move): MovedView
    {
        Gate::authorize(Ability::Work);
        $change = $move->move($request->job(), $request->step(), $request->who(), $request->notBefore(), Here::person());

        return new MovedView($change->costs, $change->gains, true);
    }

    /** A step that was moved goes where the plan puts it. */
    public function undo(MoveStepRequest $request, MoveStep $move): MovedView
    {
        Gate::authorize(Ability::Work);
        $move->undo($request->job(), $request->step(), Here::person());

        return new MovedView([], [], true);
    }
}
