<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use App\Repair\Timers\Timer;
use Illuminate\Support\Collection;

/** What runs by itself in a job now: its clocks, and what it was said to wait for by itself. */
final readonly class Timers implements JobPart
{
    /** @param  list<array{string, int}>  $left  name, and minutes that are left */
    private function __construct(private array $left)
    {
    }

    /** @return list<array{string, int}> */
    public static function of(JobState $state): array
    {
        return $state->part(self::class)->left;
    }

    public static function read(Collection $jobs): array
    {
        $timers = Timer::query()->whereIn('job_id', $jobs->pluck('id'))->whereNull('stopped_at')
            ->where('rings_at', '>', now())->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            /** @var Job $job */
            $left = [];
            foreach ($timers->get($job->id) ?? [] as $timer) {
                $left[] = [$timer->name, max(1, (int) ceil(now()->diffInMinutes($timer->rings_at)))];
            }
            if ($job->waits_for === 'itself' && $job->waits_until?->isFuture() === true) {
                $left[] = [$job->waits_note ?? 'Runs by itself', max(1, (int) ceil(now()->diffInMinutes($job->waits_until)))];
            }
            $parts[$job->id] = new self($left);
        }

        return $parts;
    }
}
