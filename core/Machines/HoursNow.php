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
    /** So many days of counters are looked at: use changes with the seasons and with who owns it. */
    private const DAYS = 180.0;

    private const WEEK = 7.0;

    /** Within an hour of its reading a counter needs no estimate, in days. */
    private const JUST_READ = 1 / 24;

    /** A clock of a board may go this much too quick before a counter is refused, as a share, and so many hours besides. */
    private const CLOCK_OFF = 0.01;

    private const CLOCK_HOURS = 1.0;

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
        $asked = self::days($askedAt);
        $runs = $this->runs($counters, $asked, array_map(self::days(...), $resets));
        $lastRun = $runs[count($runs) - 1];
        [$since, $shown] = $lastRun[count($lastRun) - 1];
        $own = $this->rate($runs, $since);
        $rate = $own ?? ($usual === null ? null : $usual->hoursPerWeek / self::WEEK);
        $before = $this->before($runs, $rate ?? 0.0, array_map(self::days(...), $resets));
        $at = $before + $shown;
        $gone = $asked - $since;
        if ($gone < self::JUST_READ) {
            return new HoursJudged($at, $at, $at, $rate === null ? null : $rate * self::WEEK, true, $own !== null, sprintf(
                '%s h by the counter itself.',
                self::plain($at),
            ));
        }
        $most = $at + 24 * $gone;
        if ($rate === null) {
            return new HoursJudged($at, $at, $most, null, false, false, sprintf(
                'At least %s h, which its counter showed %s: how much it runs is not known from one counter. Read it again some day.',
                self::plain($at),
                self::ago($gone),
            ));
        }
        [$variance, $covered] = $this->spread($runs, $since, $rate, $usual);
        // of the rate itself, and of the days since
        $ofRate = $own === null || $covered <= 0.0 ? $this->shopVariance($rate, $usual) / self::WEEK ** 2 : $variance / $covered;
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
                self::plain($hours),
                self::plain($at),
                self::ago($gone),
                self::plain($rate * self::WEEK),
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

    /**
     * @param  list<HourCounter>  $counters
     * @param  list<float>  $resets  days
     * @return non-empty-list<non-empty-list<array{float, float}>> of each counter its readings in order: day, hours
     */
    private function runs(array $counters, float $asked, array $resets): array
    {
        if ($counters === []) {
            throw InputError::at('counters', 'counters is empty: give at least one reading of the counter.');
        }
        usort($counters, static fn (HourCounter $a, HourCounter $b): int => [$a->at, $a->hours] <=> [$b->at, $b->hours]);
        sort($resets);
        $runs = [];
        $before = null;
        foreach ($counters as $counter) {
            $at = self::days($counter->at);
            if ($at > $asked) {
                throw InputError::at('asked_at', sprintf(
                    'A counter was read on %s, after the day that is asked for.',
                    $counter->at->format('Y-m-d'),
                ));
            }
            if ($before === null || array_filter($resets, static fn (float $reset): bool => $reset > $before && $reset <= $at) !== []) {
                $runs[] = [[$at, $counter->hours]];
            } else {
                $run = array_pop($runs);
                $last = $run[count($run) - 1];
                $this->refuseWonders($last, [$at, $counter->hours], $counter->at);
                $runs[] = [...$run, [$at, $counter->hours]];
            }
            $before = $at;
        }

        return $runs;
    }

    /**
     * @param  array{float, float}  $last
     * @param  array{float, float}  $next
     */
    private function refuseWonders(array $last, array $next, DateTimeImmutable $day): void
    {
        $ran = $next[1] - $last[1];
        if ($ran < 0.0) {
            throw InputError::at('counters', sprintf(
                'The counter fell from %s h to %s h by %s. Was the board changed, or the counter set back? Say when in resets.',
                self::plain($last[1]),
                self::plain($next[1]),
                $day->format('Y-m-d'),
            ));
        }
        $clock = 24 * ($next[0] - $last[0]);
        if ($ran > $clock * (1 + self::CLOCK_OFF) + self::CLOCK_HOURS) {
            throw InputError::at('counters', sprintf(
                'The counter ran %s h by %s, in %s h of the clock. Is it minutes, or the counter of another machine?',
                self::plain($ran),
                $day->format('Y-m-d'),
                self::plain($clock),
            ));
        }
    }

    /**
     * Hours a day by least squares, each run through its last reading.
     *
     * @param  non-empty-list<non-empty-list<array{float, float}>>  $runs
     */
    private function rate(array $runs, float $since): ?float
    {
        $products = $squares = 0.0;
        foreach ($runs as $run) {
            [$lastAt, $lastHours] = $run[count($run) - 1];
            foreach ($run as [$at, $hours]) {
                if ($since - $at <= self::DAYS) {
                    $products += ($lastAt - $at) * ($lastHours - $hours);
                    $squares += ($lastAt - $at) ** 2;
                }
            }
        }

        return $squares <= 0.0 ? null : min(24.0, max(0.0, $products / $squares));
    }

    /**
     * Hours of the counters before the last one, with what ran unread until each was set back.
     *
     * @param  non-empty-list<non-empty-list<array{float, float}>>  $runs
     * @param  list<float>  $resets
     */
    private function before(array $runs, float $rate, array $resets): float
    {
        $hours = 0.0;
        foreach (array_slice($runs, 0, -1) as $i => $run) {
            [$at, $shown] = $run[count($run) - 1];
            $next = $runs[$i + 1][0][0];
            $setBack = max(array_filter($resets, static fn (float $reset): bool => $reset > $at && $reset <= $next) ?: [$at]);
            $hours += $shown + $rate * ($setBack - $at);
        }

        return $hours;
    }

    /**
     * @param  non-empty-list<non-empty-list<array{float, float}>>  $runs
     * @return array{float, float} variance of a day’s hours, days the readings cover
     */
    private function spread(array $runs, float $since, float $rate, ?UsualUse $usual): array
    {
        $left = $covered = 0.0;
        $steps = 0;
        foreach ($runs as $run) {
            for ($i = 1, $n = count($run); $i < $n; $i++) {
                $days = $run[$i][0] - $run[$i - 1][0];
                if ($days > 0.0 && $since - $run[$i - 1][0] <= self::DAYS) {
                    $left += ($run[$i][1] - $run[$i - 1][1] - $rate * $days) ** 2 / $days;
                    $covered += $days;
                    $steps++;
                }
            }
        }
        $prior = $this->shopVariance($rate, $usual) / self::WEEK;

        return [(self::PRIOR * $prior + $left) / (self::PRIOR + max(0, $steps - 1)), $covered];
    }

    /** Of the hours of a week. */
    private function shopVariance(float $rate, ?UsualUse $usual): float
    {
        return ($usual->spread ?? self::USUAL_SPREAD * $rate * self::WEEK) ** 2;
    }

    private static function days(DateTimeImmutable $at): float
    {
        return (float) $at->format('U.u') / 86_400;
    }

    private static function plain(float $hours): string
    {
        return number_format($hours, $hours < 100 ? 1 : 0, '.', '');
    }

    private static function ago(float $days): string
    {
        return $days < 1.5 ? 'a day ago or less' : sprintf('%d days ago', round($days));
    }
}
