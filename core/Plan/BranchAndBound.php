<?php

declare(strict_types=1);

namespace OddBench\Plan;

/**
 * The best plan, by branch and bound over active schedules in order of their starts (B. Giffler and G. L. Thompson 1960, Operations
 * Research 8, 487–503): the next step begins no sooner than the one before it, and before another one could have been over. Every
 * active schedule is met that way, by each person that may do a step, and one of them is the best.
 */
final class BranchAndBound
{
    private int $left;

    private ?Timetable $best = null;

    private Score $score;

    private function __construct(private readonly Problem $problem, Timetable $known, int $most)
    {
        $this->left = $most;
        $this->score = $known->score;
    }

    /**
     * @param  Timetable  $known  a plan of all steps
     * @param  int  $most  states to look at
     * @return array{Timetable, bool} the best plan, and whether that is proved
     */
    public static function from(Problem $problem, Timetable $known, int $most): array
    {
        $search = new self($problem, $known, $most);
        $board = new Board($problem);
        $none = array_fill(0, count($problem->jobs), 0);
        [$next, $ready, $placed] = [$none, $none, []];
        // what is under way, and what somebody put there, stays where it is
        foreach ($known->placed as $one) {
            if ($one->step < ($problem->fixed[$one->job] ?? 0)) {
                $board->take($problem->wayOf($one), $problem->jobs[$one->job]->steps[$one->step], $one->start);
                $next[$one->job] = max($next[$one->job], $one->step + 1);
                $ready[$one->job] = max($ready[$one->job], $one->aloneUntil);
                $placed[] = $one;
            }
        }
        $search->visit($board, $next, $ready, $placed, [0, -1]);

        return [$search->best ?? $known, $search->left >= 0];
    }

    /**
     * @param  array<int, int>  $next  by job, the step that is next
     * @param  array<int, int>  $ready  by job, the minute from which that may begin
     * @param  list<Placed>  $placed
     * @param  array{int, int}  $last  start and job of the step before
     */
    private function visit(Board $board, array $next, array $ready, array $placed, array $last): void
    {
        if (--$this->left < 0) {
            return;
        }
        if (count($placed) === $this->problem->size()) {
            $plan = Timetable::of($this->problem, $placed);
            if ($plan->score->against($this->score) < 0) {
                [$this->best, $this->score] = [$plan, $plan->score];
            }

            return;
        }
        $bound = $this->bound($board, $next, $ready, $last[0]);
        if ($bound === null || $bound->against($this->score) >= 0) {
            return;
        }
        foreach ($this->children($board, $next, $ready, $last) as [$start, $j, $way]) {
            $step = $this->problem->jobs[$j]->steps[$next[$j]];
            [$then, $after, $when] = [clone $board, $next, $ready];
            $then->take($way, $step, $start);
            $after[$j]++;
            $when[$j] = $start + $way->whole;
            $one = new Placed($j, $next[$j], $way->worker, $start, $start + $way->hands, $start + $way->whole);
            $this->visit($then, $after, $when, [...$placed, $one], [$start, $j]);
            if ($this->left < 0) {
                return;
            }
        }
    }

    /**
     * @param  array<int, int>  $next
     * @param  array<int, int>  $ready
     * @param  array{int, int}  $last
     * @return list<array{int, int, Way}>
     */
    private function children(Board $board, array $next, array $ready, array $last): array
    {
        $children = [];
        $soonest = PHP_INT_MAX;
        foreach ($this->problem->jobs as $j => $job) {
            $step = $job->steps[$next[$j]] ?? null;
            $from = $step === null ? null : $this->mayBegin($j, $next, $ready);
            if ($step === null || $from === null) {
                continue;
            }
            $seen = [];
            foreach ($this->problem->ways[$j][$next[$j]] as $way) {
                $start = $board->earliest($way, $step, $from);
                if ($start === null) {
                    continue;
                }
                $soonest = min($soonest, $start + $way->whole);
                // two who have the same time left and may do the same are one
                $same = $way->worker < 0 ? null : [
                    $way->keeps,
                    $this->problem->workers[$way->worker]->rights,
                    $board->freeOf($way->worker),
                ];
                if ([$start, $j] < $last || ($same !== null && $this->alike() && in_array($same, $seen, true))) {
                    continue;
                }
                $seen[] = $same;
                $children[] = [$start, $j, $way];
            }
        }
        $children = array_values(array_filter($children, static fn (array $child): bool => $child[0] < $soonest));
        usort($children, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return $children;
    }

    /** Whether people are alike but for their names: nothing is kept for one of them, and nobody is quicker than another. */
    private function alike(): bool
    {
        foreach ($this->problem->jobs as $job) {
            foreach ($job->steps as $step) {
                if ($step->who !== null || $step->handsBy !== []) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  array<int, int>  $next
     * @param  array<int, int>  $ready
     */
    private function mayBegin(int $j, array $next, array $ready): ?int
    {
        $from = $ready[$j];
        foreach ($next[$j] === 0 ? $this->problem->after[$j] : [] as $before) {
            if (isset($this->problem->jobs[$before]->steps[$next[$before]])) {
                return null;
            }
            $from = max($from, $ready[$before]);
        }

        return $from;
    }

    /**
     * Each job by itself, and all hands together, shortest first.
     *
     * @param  array<int, int>  $next
     * @param  array<int, int>  $ready
     */
    private function bound(Board $board, array $next, array $ready, int $from): ?Score
    {
        [$late, $ends, $hands, $tails, $done, $over] = [0.0, 0, [], 0, 0, 0];
        foreach ($this->problem->jobs as $j => $job) {
            if (! isset($job->steps[$next[$j]])) {
                $late += $job->late($ready[$j]);
                $done += $ready[$j];
                $over = max($over, $ready[$j]);

                continue;
            }
            [$end] = LowerBound::byItself($this->problem, $board, $j, $ready[$j], $next[$j]);
            $late += $job->late($end);
            $ends += $end;
            $over = max($over, $end);
            [$minutes, $tail] = LowerBound::handsAndTail($this->problem, $j, $next[$j]);
            if ($minutes > 0) {
                $hands[] = $minutes;
                $tails += $tail;
            } else {
                $done += $end;
                $ends -= $end;
            }
        }
        sort($hands);
        $sums = [];
        foreach ($hands as $minutes) {
            $sums[] = $minutes + ($sums === [] ? 0 : $sums[count($sums) - 1]);
        }
        $passed = $board->passed($sums, $from);

        return in_array(null, $passed, true) ? null : new Score(0, $late, $done + max($ends, array_sum($passed) + $tails), $over);
    }
}
