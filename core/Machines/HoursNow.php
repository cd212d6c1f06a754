<?php

declare(strict_types=1);

namespace OddBench\Machines;

use DateTimeImmutable;
use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Input\Moment;
use OddBench\Units\Quantity;

/**
 * The print hours of a machine between the days its counter is read.
 *
 * Hours are counted as a sum of many prints: over a span they spread with the root of its length (a random walk with drift). The
 * drift is found by least squares through the last counter, the spread from what the counters leave over, with the shop’s own
 * spread as two readings more (the usual conjugate prior of a variance: A. Gelman and others, Bayesian Data Analysis, 3rd ed.,
 * section 3.3). A counter that began anew, as after another board, goes on from where the one before it stood.
 */
final readonly class HoursNow implements Computation
{
    private const WEEK = 7.0;

    /** Within an hour of its reading a counter needs no estimate, in days. */
    private const JUST_READ = 1 / 24;

    /** Nine in ten lie within so many standard deviations. */
    private const NINE_IN_TEN = 1.6449;

    /** What the shop’s spread counts for, in readings. */
    private const PRIOR = 2.0;

    /** A week of a machine lies this far around its own mean where a shop does not say (from memory), as a share. */
    private const USUAL_SPREAD = 0.5;

    public function name(): string
    {
        return 'hours-now';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $counters = [];
        foreach ($fields->objects('counters') as $of) {
            $counters[] = new HourCounter($of->moment('at'), $of->number('hours', ...Quantity::MachineHours->bounds()));
            $of->done();
        }
        $askedAt = $fields->moment('asked_at');
        $resets = [];
        foreach ($fields->texts('resets') as $i => $text) {
            $resets[] = Moment::read($text, "resets.{$i}");
        }
        $usual = null;
        if ($fields->has('usual')) {
            $of = $fields->object('usual');
            $usual = new UsualUse(
                $of->number('hours_per_week', ...Quantity::HoursPerWeek->bounds()),
                $of->number('spread_hours', ...Quantity::HoursPerWeek->bounds()),
            );
            $of->done();
        }
        $fields->done();
        $judged = $this->judge($counters, $askedAt, $resets, $usual);

        return [
            'hours' => $judged->hours,
            'low' => $judged->low,
            'high' => $judged->high,
            'hours_per_week' => $judged->perWeek,
            'because' => $judged->because,
        ];
    }

    /**
     * @param  list<HourCounter>  $counters  in any order
     * @param  list<DateTimeImmutable>  $resets  when a counter began anew, in any order
     * @param  UsualUse|null  $usual  of the shop’s machines
     *
     * @throws InputError when there is no counter, one lies after the moment asked for, falls, or runs quicker than a clock
     */
    public function judge(array $counters, DateTimeImmutable $askedAt, array $resets = [], ?UsualUse $usual = null): HoursJudged
    {
        $runs = CounterRuns::of($counters, $askedAt, $resets);
        $own = $runs->rate();
        $rate = $own ?? ($usual === null ? null : $usual->hoursPerWeek / self::WEEK);
        $at = $runs->hours($rate ?? 0.0);
        $gone = $runs->gone;
        if ($gone < self::JUST_READ) {
            return new HoursJudged($at, $at, $at, $rate === null ? null : $rate * self::WEEK, true, $own !== null, sprintf(
                '%s h by the counter itself.',
                HourCounter::plain($at),
            ));
        }
        $most = $at + 24 * $gone;
        if ($rate === null) {
            return new HoursJudged($at, $at, $most, null, false, false, sprintf(
                'At least %s h, which its counter showed %s: how much it runs is not known from one counter. Read it again some day.',
                HourCounter::plain($at),
                self::ago($gone),
            ));
        }
        $prior = $this->shopVariance($rate, $usual) / self::WEEK;
        [$left, $steps, $covered] = $runs->leftOver($rate);
        $variance = (self::PRIOR * $prior + $left) / (self::PRIOR + max(0, $steps - 1));
        // of the rate itself, and of the days since
        $ofRate = $own === null || $covered <= 0.0 ? $prior / self::WEEK : $variance / $covered;
        $sd = sqrt($gone ** 2 * $ofRate + $gone * $variance);
        $hours = $at + $rate * $gone;

        return new HoursJudged(
            $hours,
            max($at, $hours - self::NINE_IN_TEN * $sd),
            min($most, $hours + self::NINE_IN_TEN * $sd),
            $rate * self::WEEK,
            false,
            $own !== null,
            sprintf(
                'About %s h: %s h by its counter %s, and %s h a week since%s.',
                HourCounter::plain($hours),
                HourCounter::plain($at),
                self::ago($gone),
                HourCounter::plain($rate * self::WEEK),
                $own === null ? ', as machines here usually run' : '',
            ),
        );
    }

    /**
     * The readings that can all be of one machine: from the newest back, one that contradicts what was kept after it is left out.
     *
     * @param  list<HourCounter>  $counters  in any order
     * @param  list<DateTimeImmutable>  $resets  when a counter began anew
     * @return list<HourCounter> in order
     */
    public function plausible(array $counters, array $resets = []): array
    {
        usort($counters, static fn (HourCounter $a, HourCounter $b): int => [$b->at, $b->hours] <=> [$a->at, $a->hours]);
        $kept = [];
        foreach ($counters as $counter) {
            try {
                $this->judge([$counter, ...array_slice($kept, 0, 1)], ($kept[0] ?? $counter)->at, $resets);
                array_unshift($kept, $counter);
            } catch (InputError) {
                continue;
            }
        }

        return $kept;
    }

    /** Of the hours of a week. */
    private function shopVariance(float $rate, ?UsualUse $usual): float
    {
        return ($usual->spread ?? self::USUAL_SPREAD * $rate * self::WEEK) ** 2;
    }

    private static function ago(float $days): string
    {
        return $days < 1.5 ? 'a day ago or less' : sprintf('%d days ago', round($days));
    }
}
