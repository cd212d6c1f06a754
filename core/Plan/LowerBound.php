<?php

declare(strict_types=1);

namespace OddBench\Plan;

/**
 * What no plan can be better than. Each job by itself on an empty bench, and all hands as one that may break off: the minutes of a job
 * are spread over the days at what a minute there costs at least (the transport problem of L. Gelders and P. R. Kleindorfer 1974,
 * Operations Research 22, 46–60), by Lagrange multipliers for the hours of hands. Any multipliers give a bound that holds.
 */
final readonly class LowerBound
{
    /** Rounds of the multipliers: more than these hardly raise it. */
    private const ROUNDS = 120;

    /** Hours are told apart by so many minutes. */
    private const BUCKET = 30;

    private function __construct(public float $lateness, public float $completion)
    {
    }

    /** @param  Score  $known  of a plan there is: how far the bound can rise at most */
    public static function of(Problem $problem, Score $known): self
    {
        $board = new Board($problem);
        [$alone, $hands, $tails, $heads] = [[], [], [], []];
        foreach ($problem->jobs as $j => $job) {
            [$alone[$j], $heads[$j]] = self::byItself($problem, $board, $j);
            [$hands[$j], $tails[$j]] = self::handsAndTail($problem, $j);
        }
        $buckets = self::buckets($problem);
        $late = static fn (int $j, int $end): float => $problem->jobs[$j]->late($end);
        $sum = static fn (int $j, int $end): float => (float) $end;

        return new self(
            self::spread($alone, $hands, $tails, $heads, $buckets, $late, $known->lateness),
            self::spread($alone, $hands, $tails, $heads, $buckets, $sum, (float) $known->completion),
        );
    }

    /**
     * When a job is over that has the bench to itself, and when its first hands may begin.
     *
     * @return array{int, int}
     */
    public static function byItself(Problem $problem, Board $board, int $j, int $from = 0, int $step = 0): array
    {
        $first = null;
        $steps = $problem->jobs[$j]->steps;
        for ($k = $step; $k < count($steps); $k++) {
            $over = PHP_INT_MAX;
            $start = PHP_INT_MAX;
            foreach ($problem->ways[$j][$k] as $way) {
                $at = $board->earliest($way, $steps[$k], $from);
                if ($at !== null) {
                    $start = min($start, $at);
                    $over = min($over, $at + $way->whole);
                }
            }
            if ($over === PHP_INT_MAX) {
                break;
            }
            $first ??= $start;
            $from = $over;
        }

        return [$from, $first ?? $from];
    }

    /**
     * The least minutes of hands a job takes from a step on, and what it stands alone after the last of them.
     *
     * @return array{int, int}
     */
    public static function handsAndTail(Problem $problem, int $j, int $step = 0): array
    {
        [$hands, $tail] = [0, 0];
        $ways = $problem->ways[$j];
        for ($k = $step; $k < count($ways); $k++) {
            $keeps = min(array_map(static fn (Way $way): int => $way->keeps, $ways[$k]));
            $rest = min(array_map(static fn (Way $way): int => $way->whole - $way->keeps, $ways[$k]));
            $tail = $keeps > 0 ? $rest : $tail + $rest;
            $hands += $keeps;
        }

        return [$hands, $tail];
    }

    /** @return list<array{int, int}> start and minutes of hands in it */
    private static function buckets(Problem $problem): array
    {
        $there = [];
        foreach ($problem->workers as $worker) {
            foreach ($worker->free as [$from, $to]) {
                for ($at = $from; $at < $to; $at = $next) {
                    $next = min($to, (intdiv($at, self::BUCKET) + 1) * self::BUCKET);
                    $bucket = intdiv($at, self::BUCKET) * self::BUCKET;
                    $there[$bucket] = ($there[$bucket] ?? 0) + $next - $at;
                }
            }
        }
        ksort($there);

        return array_map(static fn (int $at, int $minutes): array => [$at, $minutes], array_keys($there), $there);
    }

    /**
     * @param  array<int, int>  $alone  when each job is over by itself
     * @param  array<int, int>  $hands
     * @param  array<int, int>  $tails
     * @param  array<int, int>  $heads
     * @param  list<array{int, int}>  $buckets
     * @param  callable(int, int): float  $cost  of a job that is over at a minute; never falls with it
     */
    private static function spread(
        array $alone,
        array $hands,
        array $tails,
        array $heads,
        array $buckets,
        callable $cost,
        float $known,
    ): float {
        [$fixed, $costs, $firsts] = [0.0, [], []];
        foreach ($alone as $j => $end) {
            if ($hands[$j] === 0 || $buckets === []) {
                $fixed += $cost($j, $end);

                continue;
            }
            $row = [];
            foreach ($buckets as $b => [$at]) {
                // hands in this half hour: it is over no sooner than what then stands alone, nor than by itself
                if ($at + self::BUCKET > $heads[$j]) {
                    $row[$b] = $cost($j, max($end, $at + $tails[$j])) / $hands[$j];
                }
            }
            if ($row === []) {
                $fixed += $cost($j, $end);

                continue;
            }
            $costs[$j] = array_values($row);
            $firsts[$j] = (int) array_key_first($row);
        }

        return $fixed + self::raise($costs, $firsts, $hands, array_column($buckets, 1), $known - $fixed);
    }

    /**
     * The dual of the transport problem, raised by steps along its subgradient (M. Held, P. Wolfe and H. P. Crowder 1974,
     * Mathematical Programming 6, 62–88).
     *
     * @param  array<int, non-empty-list<float>>  $costs  by job, of a minute in each half hour
     * @param  array<int, int>  $firsts  the half hour its row begins with
     * @param  array<int, int>  $hands
     * @param  list<int>  $there  minutes of hands in each
     * @param  float  $known  what a plan costs
     */
    private static function raise(array $costs, array $firsts, array $hands, array $there, float $known): float
    {
        $prices = array_fill(0, count($there), 0.0);
        $best = 0.0;
        [$scale, $since] = [1.0, 0];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $bound = 0.0;
            $over = array_map(static fn (int $minutes): int => -$minutes, $there);
            foreach ($prices as $b => $price) {
                $bound -= $price * $there[$b];
            }
            foreach ($costs as $j => $row) {
                [$least, $at] = [INF, 0];
                $b = $firsts[$j];
                foreach ($row as $c) {
                    if ($c + $prices[$b] < $least) {
                        [$least, $at] = [$c + $prices[$b], $b];
                    }
                    $b++;
                }
                $bound += $least * $hands[$j];
                $over[$at] += $hands[$j];
            }
            $since = $bound > $best + 1e-9 ? 0 : $since + 1;
            $best = max($best, $bound);
            if ($since === 6) {
                [$scale, $since] = [$scale / 2, 0];
            }
            $norm = 0.0;
            foreach ($over as $b => $by) {
                $norm += $prices[$b] > 0.0 || $by > 0 ? (float) $by * $by : 0.0;
            }
            if ($norm <= 0.0 || $known - $best < 1e-6) {
                break;
            }
            $length = $scale * max(0.0, $known - $bound) / $norm;
            foreach ($over as $b => $by) {
                $prices[$b] = max(0.0, $prices[$b] + $length * $by);
            }
        }

        return $best;
    }
}
