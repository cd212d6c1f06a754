<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Intake\WorkSpell;
use App\Repair\Timers\Timer;
use App\Shop\Person;
use Carbon\CarbonInterface;
use OddBench\Knowledge\Guide;
use OddBench\Repair\LearningCurve;

/** How long guides took whom, and how long one will take next. */
final class GuideTimes
{
    private const LONGEST_RECORD = 60;

    /** @return array{LearningCurve, int} the person’s curve, and how many times they have done it */
    public function curve(Guide $guide, Person $person): array
    {
        $taken = GuideRun::query()->where(['guide' => $guide->code, 'person_id' => $person->id, 'given_up' => false])
            ->whereNotNull('minutes')
            ->where('minutes', '>', 0)
            ->orderBy('id')
            ->limit(self::LONGEST_RECORD)
            ->pluck('minutes')
            ->map(fn (mixed $m): float => (float) $m)
            ->all();

        return [LearningCurve::of($guide->first, $guide->practised, array_values($taken)), count($taken)];
    }

    /** @return array{minutes: float, times: int} what it will take this person the next time, and how often they did it */
    public function estimate(Guide $guide, Person $person): array
    {
        [$curve, $times] = $this->curve($guide, $person);

        return ['minutes' => round($curve->minutes($times + 1), 1), 'times' => $times];
    }

    /** Minutes somebody’s hands were on the job while a guide ran, less what its timers were waited for. */
    public function handsOn(GuideRun $run, CarbonInterface $until): float
    {
        $hands = $this->overlap(
            WorkSpell::query()->where(['job_id' => $run->job_id, 'person_id' => $run->person_id])->where('began_at', '<', $until)->get()
                ->map(fn (WorkSpell $s): array => [$s->began_at, $s->ended_at ?? $until])->all(), $run->began_at, $until);
        $waited = $this->overlap(
            Timer::query()->where('guide_run_id', $run->id)->get()
                ->map(fn (Timer $t): array => [$t->began_at, $t->stopped_at !== null && $t->stopped_at->lt($t->rings_at) ? $t->stopped_at : $t->rings_at])->all(), $run->began_at, $until);

        return max(0.0, $hands - $waited);
    }

    /** @param  array<int, array{CarbonInterface, CarbonInterface}>  $spans */
    private function overlap(array $spans, CarbonInterface $from, CarbonInterface $to): float
    {
        $seconds = 0.0;
        foreach ($spans as [$began, $ended]) {
            $seconds += max(0, min($ended->getTimestamp(), $to->getTimestamp()) - max($began->getTimestamp(), $from->getTimestamp()));
        }

        return $seconds / 60;
    }
}
