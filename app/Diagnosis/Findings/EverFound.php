<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Intake\Job;
use App\Intake\JobPart;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;

/** The findings of a job, withdrawn ones among them. */
final readonly class EverFound implements JobPart
{
    /** @param  Collection<int, JobFinding>  $findings */
    private function __construct(public Collection $findings)
    {
    }

    public static function read(Jobs $jobs): array
    {
        $unread = $jobs->reject(static fn (Job $job): bool => FoundInJob::carriedBy($job) !== null)->pluck('id');
        $found = $unread->isEmpty()
            ? new Collection
            : JobFinding::query()->whereIn('job_id', $unread)->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self(FoundInJob::carriedBy($job) ?? $found->get($job->id) ?? new Collection);
        }

        return $parts;
    }
}
