<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Support\Collection;

/** What one room keeps of a job. The room reads it for many jobs in as few queries as for one. */
interface JobPart
{
    /**
     * @param  Collection<int, Job>  $jobs
     * @return array<int, static> job id => its part, for every one of them
     */
    public static function read(Collection $jobs): array;
}
