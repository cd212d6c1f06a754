<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;

/** Nobody is asked any more: the shop goes on and bears what is over. */
final readonly class WithdrawEstimate
{
    public function __construct(private JobRecord $record)
    {
    }

    /** @throws Refused when none stands */
    public function withdraw(Job $job, string $because, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($because): Said {
            $withdrawn = SentEstimate::query()->where('job_id', $job->id)
                ->whereNull('superseded_at')
                ->update(['superseded_at' => now()]);
            if ($withdrawn === 0) {
                throw Refused::because('because', 'No estimate of this job is with its owner.');
            }
            $job->asked = false;
            if ($job->waits_for === 'owner') {
                $job->waitFor(null);
            }

            return new Said('estimate', "Estimate withdrawn: {$because}");
        }, byHand: false);
    }
}
