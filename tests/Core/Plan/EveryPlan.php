<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

/**
 * Every way to do it, on a grid of minutes: each order of steps, each person, each step at its first minute that is free, tried minute
 * by minute. Slow and plain on purpose; it shares no code with what it checks.
 */
final class EveryPlan
{
    private float $late = INF;

    private int $sum = PHP_INT_MAX;

    /**
     * @param  array{people: list<array{name: string, free: list<array{int, int}>, rights?: list<string>}>, jobs: list<array<string, mixed>>, places?: array<string, int>}  $case
     * @return array{float, int}
     */
    public static function best(array $case): array
    {
        $every = new self;
        $every->go($case, array_fill(0, count($case['jobs']), 0), array_fill(0, count($case['jobs']), 0), [], []);

        return [$every->late, $every->sum];
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  list<int>  $next
     * @param  list<int>  $ready
     * @param  array<int, array<int, true>>  $busy  person and minute
     * @param  array<string, array<int, int>>  $taken  place and minute
     */
    private function go(array $case, array $next, array $ready, array $busy, array $taken): void
    {
        $late = 0.0;
        $over = true;
        foreach ($case['jobs'] as $j => $job) {
            $late += isset($job['due']) ? ($job['weight'] ?? 1) * max(0, $ready[$j] - $job['due']) : 0;
            $over = $over && ! isset($job['steps'][$next[$j]]);
        }
        $sum = array_sum($ready);
        // lateness and sum only grow
        if ($late > $this->late + 1e-9 || (abs($late - $this->late) < 1e-9 && $sum >= $this->sum)) {
            return;
        }
        if ($over) {
            [$this->late, $this->sum] = [$late, $sum];

            return;
        }
        foreach ($case['jobs'] as $j => $job) {
            $step = $job['steps'][$next[$j]] ?? null;
            if ($step === null) {
                continue;
            }
            foreach ($case['people'] as $p => $person) {
                if (array_diff($step['rights'] ?? [], $person['rights'] ?? []) !== []) {
                    continue;
                }
                $at = $this->first($case, $step, $p, max($ready[$j], $step['not_before'] ?? 0), $busy, $taken);
                if ($at === null) {
                    continue;
                }
                [$then, $places, $after, $when] = [$busy, $taken, $next, $ready];
                $whole = $step['hands'] + ($step['alone'] ?? 0);
                for ($m = $at; $m < $at + $whole; $m++) {
                    if ($m < $at + $step['hands'] || ($step['beside'] ?? false)) {
                        $then[$p][$m] = true;
                    }
                    if (isset($step['place'])) {
                        $places[$step['place']][$m] = ($places[$step['place']][$m] ?? 0) + 1;
                    }
                }
                $after[$j]++;
                $when[$j] = $at + $whole;
                $this->go($case, $after, $when, $then, $places);
            }
        }
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  array<string, mixed>  $step
     * @param  array<int, array<int, true>>  $busy
     * @param  array<string, array<int, int>>  $taken
     */
    private function first(array $case, array $step, int $p, int $from, array $busy, array $taken): ?int
    {
        $last = max(array_merge(...array_column($case['people'][$p]['free'], null)));
        $whole = $step['hands'] + ($step['alone'] ?? 0);
        $keeps = ($step['beside'] ?? false) ? $whole : $step['hands'];
        for ($at = $from; $at + $keeps <= $last; $at++) {
            $fits = false;
            foreach ($case['people'][$p]['free'] as [$a, $b]) {
                $fits = $fits || ($a <= $at && $at + $keeps <= $b);
            }
            if ($fits && ($step['attended'] ?? false)) {
                $fits = array_filter($case['open'], static fn (array $open): bool => $open[0] <= $at && $at + $whole <= $open[1]) !== [];
            }
            for ($m = $at; $fits && $m < $at + $whole; $m++) {
                $fits = ($m >= $at + $keeps || ! isset($busy[$p][$m]))
                    && (! isset($step['place']) || ($taken[$step['place']][$m] ?? 0) < ($case['places'][$step['place']] ?? 1));
            }
            if ($fits) {
                return $at;
            }
        }

        return null;
    }
}
