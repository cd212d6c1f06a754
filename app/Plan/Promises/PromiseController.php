<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Intake\Job;
use App\Shop\Ability;
use Illuminate\Support\Facades\Gate;

final readonly class PromiseController
{
    public function show(int $job, PromiseQuery $promises): PromiseView
    {
        return $promises->of(Job::query()->with('machine')->whereNull('finished_at')->findOrFail($job), 'estimate');
    }

    /** For a machine that is not booked in yet. */
    public function offer(OfferRequest $request, PromiseQuery $promises): PromiseView
    {
        Gate::authorize(Ability::BookIn);

        return $promises->beforeBooking($request->string('family')->toString(), $request->findings());
    }
}
