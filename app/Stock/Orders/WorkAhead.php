<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Intake\Job;
use App\Intake\JobState;
use Illuminate\Database\Eloquent\Builder;

/** Knows what is still to be mended in a job, which decides what its kits will take. */
interface WorkAhead
{
    /**
     * @return array{faults: list<string>, guides: list<string>, classes: array<string, int>} codes of faults not mended, of guides
     *   begun, and classes of part that are to be changed before they fail
     */
    public function of(JobState $state): array;

    /**
     * @param  Builder<Job>  $jobs
     * @return Builder<Job> those of them in which there is something; all others need not be read
     */
    public function only(Builder $jobs): Builder;
}
