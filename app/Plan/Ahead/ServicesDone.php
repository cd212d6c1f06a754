<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\JobPart;
use App\Intake\JobState;
use App\Machines\ServiceDone;
use Illuminate\Support\Collection;

/** Which service items a job has done. */
final readonly class ServicesDone implements JobPart
{
    /** @param  list<string>  $items */
    private function __construct(private array $items)
    {
    }

    /** @return list<string> */
    public static function of(JobState $state): array
    {
        return $state->part(self::class)->items;
    }

    public static function read(Collection $jobs): array
    {
        $done = ServiceDone::query()->whereIn('job_id', $jobs->pluck('id'))->get(['job_id', 'item'])->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self(array_values($done->get($job->id)?->pluck('item')->all() ?? []));
        }

        return $parts;
    }
}
