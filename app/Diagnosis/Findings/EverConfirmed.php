<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Diagnosis\Faults\Confirmed;
use App\Intake\JobPart;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;

/** What was confirmed in a job, overturned ones among it. */
final readonly class EverConfirmed implements JobPart
{
    /** @param  Collection<int, Confirmed>  $diagnoses */
    private function __construct(public Collection $diagnoses)
    {
    }

    public static function read(Jobs $jobs): array
    {
        $diagnoses = Confirmed::query()->whereIn('job_id', $jobs->pluck('id'))->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self($diagnoses->get($job->id) ?? new Collection);
        }

        return $parts;
    }
}
