<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use App\Repair\Timers\Timer;
use Carbon\CarbonInterface;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Heat;
use OddBench\Knowledge\Knowledge;
use OddBench\Plan\Running;

/** What runs by itself in a job now: its clocks, and what it was said to wait for by itself. */
final readonly class Timers implements JobPart
{
    /** @param  list<Timer>  $clocks  that have not rung yet */
    private function __construct(private array $clocks)
    {
    }

    /** @return list<Running> */
    public static function of(JobState $state, Knowledge $knowledge): array
    {
        $running = array_map(
            static fn (Timer $timer): Running => self::clock($timer, $knowledge),
            $state->part(self::class)->clocks,
        );
        $waits = self::waits($state->job);

        return $waits === null ? $running : [...$running, $waits];
    }

    /** A clock, as hot as the step of the guide it was started for. */
    public static function clock(Timer $timer, Knowledge $knowledge): Running
    {
        $run = $timer->run;
        $guide = $run === null ? null : $knowledge->guides[$run->guide] ?? null;
        $step = $guide?->stepsOf($run?->school)[$timer->step ?? 0] ?? null;

        return new Running($timer->name, self::left($timer->rings_at), $step?->heat, $step?->timer->oven ?? false);
    }

    /** What a job was said to wait for by itself, as hot as it was said to be. */
    public static function waits(Job $job): ?Running
    {
        return $job->waits_for !== 'itself' || $job->waits_until?->isFuture() !== true ? null : new Running(
            $job->waits_note ?? 'Runs by itself',
            self::left($job->waits_until),
            match ($job->waits_hot) {
                true => Heat::Hot,
                false => Heat::Cold,
                null => null,
            },
        );
    }

    public static function read(Collection $jobs): array
    {
        $timers = Timer::query()->with('run')->whereIn('job_id', $jobs->pluck('id'))->whereNull('stopped_at')
            ->where('rings_at', '>', now())->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            /** @var Job $job */
            $parts[$job->id] = new self(array_values($timers->get($job->id)?->all() ?? []));
        }

        return $parts;
    }

    private static function left(CarbonInterface $until): int
    {
        return max(1, (int) ceil(now()->diffInMinutes($until)));
    }
}
