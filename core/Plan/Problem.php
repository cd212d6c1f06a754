<?php

declare(strict_types=1);

namespace OddBench\Plan;

use LogicException;

/** What is to be planned, with nothing in it that cannot be: each step has at least one way, and waits go in no circle. */
final readonly class Problem
{
    /** @var list<list<non-empty-list<Way>>> by job and step */
    public array $ways;

    /** @var list<array{int, int}> when somebody is in the shop */
    public array $open;

    /** @var array<int, int> job => so many of its steps are placed before all others: under way, or put there by somebody */
    public array $fixed;

    /** @var list<list<int>> by job, places in the list of jobs it waits for */
    public array $after;

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs
     * @param  array<string, int>  $places  how many there are of each
     * @param  list<array{int, int}>|null  $open  when somebody is in the shop; nothing: whenever one of them works
     */
    public function __construct(public array $workers, public array $jobs, public array $places, ?array $open = null)
    {
        $this->open = $open ?? OpenHours::any(
            array_merge(...array_map(static fn (Worker $worker): array => $worker->free, $workers), ...[[]]),
        );
        $ways = [];
        $at = [];
        foreach ($jobs as $j => $job) {
            $at[$job->id] = $j;
            $ways[] = array_map($this->waysOf(...), $job->steps);
        }
        $this->ways = $ways;
        $this->fixed = self::fixed($jobs);
        $this->after = array_map(
            static fn (PlanJob $job): array => array_map(static fn (string $id): int => $at[$id], $job->after),
            $jobs,
        );
    }

    /** How many steps there are. */
    public function size(): int
    {
        return array_sum(array_map(static fn (PlanJob $job): int => count($job->steps), $this->jobs));
    }

    /**
     * @param  list<PlanJob>  $jobs
     * @return array<int, int> what is under way first, then what is to begin soonest
     */
    private static function fixed(array $jobs): array
    {
        [$fixed, $key] = [[], []];
        foreach ($jobs as $j => $job) {
            foreach ($job->steps as $k => $step) {
                if ($step->pinned || ($k === 0 && $step->begun)) {
                    $fixed[$j] = $k + 1;
                    $key[$j] = [! $job->steps[0]->begun, $step->notBefore, $j];
                }
            }
        }
        uksort($fixed, static fn (int $a, int $b): int => $key[$a] <=> $key[$b]);

        return $fixed;
    }

    /** The way in which a step was placed. */
    public function wayOf(Placed $one): Way
    {
        foreach ($this->ways[$one->job][$one->step] as $way) {
            if ($way->worker === $one->worker) {
                return $way;
            }
        }

        throw new LogicException('A step is placed in one of its ways.');
    }

    /**
     * Who may do a step, those who may do the least first: others are kept for what only they may do.
     *
     * @return non-empty-list<Way>
     */
    private function waysOf(Step $step): array
    {
        if (! $step->needsSomebody()) {
            return [new Way(-1, 0, 0, $step->alone)];
        }
        $ways = [];
        foreach ($this->workers as $w => $worker) {
            if ($worker->may($step)) {
                $hands = $step->handsOf($worker->name);
                $ways[] = new Way($w, $step->keeps($worker->name), $hands, $hands + $step->alone);
            }
        }
        usort($ways, fn (Way $a, Way $b): int => count($this->workers[$a->worker]->rights) <=> count($this->workers[$b->worker]->rights));

        return $ways === [] ? throw new LogicException('A step that nobody may do is sorted out before.') : $ways;
    }
}
