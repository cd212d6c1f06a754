<?php

declare(strict_types=1);

namespace OddBench\Plan;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Good plans where the best is out of reach: lists by several rules, then by moving what is in the best of them, from a seed. It is
 * never worse than promised-first, for that is where it begins.
 */
final class Search
{
    private Timetable $best;

    /** @var list<int> */
    private array $order;

    private readonly ListSchedule $lists;

    private function __construct(private readonly Problem $problem)
    {
        $this->lists = new ListSchedule($problem);
        $this->order = self::promisedFirst($problem);
        $this->best = $this->lists->of($this->order);
    }

    /**
     * @param  int  $steps  to be placed in all
     * @param  int  $seed  the same one gives the same plan
     */
    public static function best(Problem $problem, int $steps, int $seed): Timetable
    {
        $search = new self($problem);
        foreach ($search->rules() as $order) {
            $search->offer($order);
        }
        $search->move(intdiv($steps, max(1, $problem->size())), new Randomizer(new Mt19937($seed)));

        return $search->best;
    }

    /**
     * Each job whole, the soonest promised first, of those without a promise the shortest.
     *
     * @return list<int>
     */
    public static function promisedFirst(Problem $problem): array
    {
        return self::byJob($problem, static fn (int $j): array => [
            $problem->jobs[$j]->due ?? PHP_INT_MAX,
            LowerBound::handsAndTail($problem, $j)[0],
        ]);
    }

    /** @return iterable<list<int>> */
    private function rules(): iterable
    {
        $problem = $this->problem;
        $hands = static fn (int $j): int => LowerBound::handsAndTail($problem, $j)[0];
        // shortest first (Smith 1956), alone and by what a minute late weighs
        yield self::byJob($problem, static fn (int $j): array => [$hands($j)]);
        yield self::byJob($problem, static fn (int $j): array => [$hands($j) / max(0.001, $problem->jobs[$j]->weight)]);
        // what leads to the longest time alone first (Jackson 1955), and what has the least slack
        yield self::byStep($problem, static fn (int $j, int $k): float => (float) -self::aloneFrom($problem, $j, $k));
        yield self::byStep(
            $problem,
            static fn (int $j, int $k): float => (float) (($problem->jobs[$j]->due ?? 1e9) - self::wholeFrom($problem, $j, $k)),
        );
        // first steps that stand long alone, then job by job as promised
        yield self::byStep($problem, static fn (int $j, int $k): float => $k === 0 && self::aloneFrom($problem, $j, 0) > 4 * $hands($j)
            ? (float) -self::aloneFrom($problem, $j, 0)
            : ($problem->jobs[$j]->due ?? 1e9) + $hands($j) / 1e4);
    }

    /** @param  list<int>  $order */
    private function offer(array $order, bool $alsoAsGood = false): void
    {
        $plan = $this->lists->of($order);
        $against = $plan->score->against($this->best->score);
        if ($against < 0 || ($alsoAsGood && $against === 0)) {
            [$this->best, $this->order] = [$plan, $order];
        }
    }

    private function move(int $times, Randomizer $random): void
    {
        $last = count($this->order) - 1;
        for ($try = 0; $try < $times && $last > 0; $try++) {
            $order = $this->order;
            $at = $random->getInt(0, $last);
            $job = $try % 3 === 0 ? $this->someLate($random) : null;
            if ($try % 3 === 2 || $job !== null) {
                // a whole job: those that are late come sooner
                $job ??= $order[$at];
                $rest = array_values(array_filter($order, static fn (int $j): bool => $j !== $job));
                $count = count($order) - count($rest);
                array_splice($rest, $random->getInt(0, (int) array_search($job, $order, true)), 0, array_fill(0, $count, $job));
                $order = $rest;
            } else {
                $one = array_splice($order, $at, 1);
                array_splice($order, $random->getInt(0, $last), 0, $one);
            }
            $this->offer($order, true);
        }
    }

    private function someLate(Randomizer $random): ?int
    {
        $late = [];
        foreach ($this->problem->jobs as $j => $job) {
            if (isset($this->best->left[$j]) || $job->late($this->best->ends[$j]) > 0.0) {
                $late[] = $j;
            }
        }

        return $late === [] ? null : $late[$random->getInt(0, count($late) - 1)];
    }

    /**
     * @param  callable(int): list<int|float>  $key
     * @return list<int>
     */
    private static function byJob(Problem $problem, callable $key): array
    {
        $jobs = array_keys($problem->jobs);
        $keys = array_map($key, $jobs);
        usort($jobs, static fn (int $a, int $b): int => [$keys[$a], $a] <=> [$keys[$b], $b]);

        return array_merge(...array_map(static fn (int $j): array => array_fill(0, count($problem->jobs[$j]->steps), $j), $jobs));
    }

    /**
     * @param  callable(int, int): float  $key
     * @return list<int>
     */
    private static function byStep(Problem $problem, callable $key): array
    {
        $steps = [];
        foreach ($problem->jobs as $j => $job) {
            $least = -INF;
            foreach (array_keys($job->steps) as $k) {
                // a step is never before the one it follows
                $least = max($least, $key($j, $k));
                $steps[] = [$least, $j];
            }
        }
        usort($steps, static fn (array $a, array $b): int => $a <=> $b);

        return array_column($steps, 1);
    }

    private static function aloneFrom(Problem $problem, int $j, int $k): int
    {
        return array_sum(
            array_map(static fn (Step $step): int => $step->beside ? 0 : $step->alone, array_slice($problem->jobs[$j]->steps, $k)),
        );
    }

    private static function wholeFrom(Problem $problem, int $j, int $k): int
    {
        return array_sum(array_map(static fn (Step $step): int => $step->hands + $step->alone, array_slice($problem->jobs[$j]->steps, $k)));
    }
}
