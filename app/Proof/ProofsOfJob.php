<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\JobPart;
use App\Intake\JobState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;

/** What was proved in a job. */
final readonly class ProofsOfJob implements JobPart
{
    /** @param  Collection<int, ProofResult>  $results */
    private function __construct(public Collection $results)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Jobs $jobs): array
    {
        $results = ProofResult::query()->whereIn('job_id', $jobs->pluck('id'))->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self($results->get($job->id) ?? new Collection);
        }

        return $parts;
    }
}
