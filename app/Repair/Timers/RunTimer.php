<?php

declare(strict_types=1);

namespace App\Repair\Timers;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Repair\Guides\GuideRun;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Starts and stops the clocks that ring on every open screen. */
final readonly class RunTimer
{
    private const MOST_MINUTES = 2880;

    public function __construct(private JobRecord $record, private Knowledge $knowledge)
    {
    }

    /** A clock of one’s own. */
    public function start(Job $job, string $name, float $minutes, Person $by): Job
    {
        if ($minutes <= 0 || $minutes > self::MOST_MINUTES) {
            throw InputError::at('minutes', 'A timer runs from a few seconds to two days; give minutes.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($name, $minutes, $by): Said {
            $this->put($job, $name, $minutes, null, null, null, $by);

            return new Said('timer', "Timer: {$name}, ".round($minutes, 1).' min');
        });
    }

    /** The clock of a step of a guide. */
    public function startStep(Job $job, GuideRun $run, int $number, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($run, $number, $by): Said {
            $step = $this->knowledge->guide($run->guide)->stepsOf($run->school)[$number] ?? null;
            $timer = $step?->timer;
            if ($timer === null) {
                throw Refused::notFound('step', 'This step has no timer.');
            }
            if (Timer::query()->where(['guide_run_id' => $run->id, 'step' => $number])->whereNull('stopped_at')->exists()) {
                throw Refused::because('step', 'The timer of this step runs already.');
            }
            $this->put($job, $timer->name, $timer->minutes, $timer->most, $run, $number, $by);

            return new Said('timer', "Timer: {$timer->name}, {$timer->words()}");
        });
    }

    public function stop(Timer $timer, Person $by): void
    {
        $this->record->write($timer->job, $by, null, function () use ($timer, $by): Said {
            if (Timer::query()->whereKey($timer->id)->whereNull('stopped_at')->update([
                'stopped_at' => now(),
                'stopped_by' => $by->id,
            ]) === 0) {
                throw Refused::because('timer', 'This timer was stopped already.');
            }

            return new Said('timer', "Timer stopped: {$timer->name}");
        }, byHand: false);
    }

    private function put(Job $job, string $name, float $minutes, ?float $most, ?GuideRun $run, ?int $step, Person $by): void
    {
        $now = now();
        Timer::query()->create([
            'job_id' => $job->id, 'guide_run_id' => $run?->id, 'step' => $step, 'name' => $name, 'began_at' => $now,
            'rings_at' => $now->copy()->addSeconds((int) round($minutes * 60)),
            'at_most' => $most === null ? null : $now->copy()->addSeconds((int) round($most * 60)),
            'person_id' => $by->id,
        ]);
    }
}
