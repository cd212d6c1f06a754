<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Intake\Job;
use App\Shop\Person;

/** A room that wants to know which checks were done in a job. */
interface HearsChecks
{
    public const TAG = 'hears-checks';

    /**
     * Inside the running write.
     *
     * @param  list<string>  $checks
     * @param  list<string>  $present  codes of findings that stand as found
     */
    public function checked(Job $job, array $checks, array $present, Person $by): void;
}
