<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;

/** A job after its owner was heard: a line in its record, and it waits for the owner no more. Inside a running write, the job locked. */
final readonly class SettleJob
{
    public function __construct(private JobRecord $record)
    {
    }

    public function after(Job $job, Person $by, string $words, string $way): void
    {
        if (! $job->isOpen()) {
            return;
        }
        if ($job->waits_for === 'owner') {
            $job->waitFor(null);
        }
        $job->version++;
        $this->record->note($job, $by, new Said('owner-said', $words.($way === 'page' ? ', on its page' : '')));
        $this->record->settle($job);
    }
}
