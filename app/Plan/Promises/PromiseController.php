<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Intake\Job;

final readonly class PromiseController
{
    public function __construct(private PromiseQuery $promises)
    {
    }

    public function show(int $job): PromiseView
    {
        return $this->promises->of(Job::query()->with('machine')->whereNull('finished_at')->findOrFail($job), 'estimate');
    }

    /** For a machine that is not booked in yet. */
    public function offer(OfferRequest $request): PromiseView
    {
        return $this->promises->beforeBooking($request->string('family')->toString(), $request->findings());
    }
}
