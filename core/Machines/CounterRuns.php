<?php

declare(strict_types=1);

namespace OddBench\Machines;

use DateTimeImmutable;
use OddBench\Input\InputError;

/** The readings of a machine’s counters in order, those of each counter apart: another board begins another one. */
final readonly class CounterRuns
{
    /** So many days of readings are looked at: use changes with the seasons and with who owns it. */
    public const DAYS = 180.0;

    /** A clock of a board may go this much too quick before a reading is refused, as a share, and so many hours besides. */
    private const CLOCK_OFF = 0.01;

    private const CLOCK_HOURS = 1.0;

    /**
     * @param  non-empty-list<non-empty-list<array{float, float}>>  $runs  of each counter its readings in order: day, hours
     * @param  list<float>  $resets  days, in order
     * @param  float  $since  day of the last reading
     * @param  float  $gone  days since then
     */
    private function __construct(private array $runs, private array $resets, private float $since, public float $gone)
    {
    }

    /**
     * @param  list<HourCounter>  $counters  in any order
     * @param  list<DateTimeImmutable>  $resets  when a counter began anew, in any order
     *
     * @throws InputError when there is no counter, one lies after the moment asked for, falls, or runs quicker than a clock
     */
    public static function of(array $counters, DateTimeImmutable $askedAt, array $resets): self
    {
        if ($counters === []) {
            throw InputError::at('counters', 'counters is empty: give at least one reading of the counter.');
        }
        usort($counters, static fn (HourCounter $a, HourCounter $b): int => [$a->at, $a->hours] <=> [$b->at, $b->hours]);
        $resets = array_map(self::days(...), $resets);
        sort($resets);
        $runs = [];
        $before = null;
        foreach ($counters as $counter) {
            if ($counter->at > $askedAt) {
                throw InputError::at('asked_at', sprintf(
                    'A counter was read on %s, after the day that is asked for.',
                    $counter->at->format('Y-m-d'),
                ));
            }
            $at = self::days($counter->at);
            if ($before === null || array_filter($resets, static fn (float $reset): bool => $reset > $before && $reset <= $at) !== []) {
                $runs[] = [[$at, $counter->hours]];
            } else {
                $run = array_pop($runs);
                self::refuseWonders($run[count($run) - 1], [$at, $counter->hours], $counter->at);
                $runs[] = [...$run, [$at, $counter->hours]];
            }
            $before = $at;
        }

        return new self($runs, $resets, $before, self::days($askedAt) - $before);
    }

    /** Hours a day by least squares, each counter through its last reading; nothing from one reading. */
    public function rate(): ?float
    {
        $products = $squares = 0.0;
        foreach ($this->runs as $run) {
            [$lastAt, $lastHours] = $run[count($run) - 1];
            foreach ($run as [$at, $hours]) {
                if ($this->since - $at <= self::DAYS) {
                    $products += ($lastAt - $at) * ($lastHours - $hours);
                    $squares += ($lastAt - $at) ** 2;
                }
            }
        }

        return $squares <= 0.0 ? null : min(24.0, max(0.0, $products / $squares));
    }

    /**
     * Hours of all counters at the last reading, with what ran unread until each was set back.
     *
     * @param  float  $rate  hours a day
     */
    public function hours(float $rate): float
    {
        $hours = 0.0;
        foreach ($this->runs as $i => $run) {
            [$at, $shown] = $run[count($run) - 1];
            $hours += $shown;
            if (isset($this->runs[$i + 1])) {
                $next = $this->runs[$i + 1][0][0];
                $setBack = array_filter($this->resets, static fn (float $reset): bool => $reset > $at && $reset <= $next);
                $hours += $rate * (($setBack === [] ? $at : max($setBack)) - $at);
            }
        }

        return $hours;
    }

    /**
     * What the readings leave over from a rate: squares for each day, summed.
     *
     * @param  float  $rate  hours a day
     * @return array{float, int, float} the sum, from one reading to the next so many, days they cover
     */
    public function leftOver(float $rate): array
    {
        $left = $covered = 0.0;
        $steps = 0;
        foreach ($this->runs as $run) {
            for ($i = 1, $n = count($run); $i < $n; $i++) {
                $days = $run[$i][0] - $run[$i - 1][0];
                if ($days > 0.0 && $this->since - $run[$i - 1][0] <= self::DAYS) {
                    $left += ($run[$i][1] - $run[$i - 1][1] - $rate * $days) ** 2 / $days;
                    $covered += $days;
                    $steps++;
                }
            }
        }

        return [$left, $steps, $covered];
    }

    /**
     * @param  array{float, float}  $last
     * @param  array{float, float}  $next
     */
    private static function refuseWonders(array $last, array $next, DateTimeImmutable $day): void
    {
        $ran = $next[1] - $last[1];
        if ($ran < 0.0) {
            throw InputError::at('counters', sprintf(
                'The counter fell from %s h to %s h by %s. Was the board changed, or the counter set back? Say when in resets.',
                HourCounter::plain($last[1]),
                HourCounter::plain($next[1]),
                $day->format('Y-m-d'),
            ));
        }
        $clock = 24 * ($next[0] - $last[0]);
        if ($ran > $clock * (1 + self::CLOCK_OFF) + self::CLOCK_HOURS) {
            throw InputError::at('counters', sprintf(
                'The counter ran %s h by %s, in %s h of the clock. Is it minutes, or the counter of another machine?',
                HourCounter::plain($ran),
                $day->format('Y-m-d'),
                HourCounter::plain($clock),
            ));
        }
    }

    private static function days(DateTimeImmutable $at): float
    {
        return (float) $at->format('U.u') / 86_400;
    }
}
