<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** What would save a promise that does not hold: each way is planned anew, and counts only when the job is in time by it. */
final class WayOut
{
    /** Steps placed for each way: a good plan is enough to see whether it holds. */
    private const STEPS = 3000;

    /** The second pair of hands, which nobody is. */
    private const SECOND = '+1';

    /** @var list<string>|null what is late as it is */
    private ?array $late = null;

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs
     * @param  array<string, int>  $places
     * @param  list<array{int, int}>  $open
     */
    public function __construct(
        private readonly array $workers,
        private readonly array $jobs,
        private readonly array $places,
        private readonly array $open,
    ) {
    }

    /**
     * @return array{part: bool, hands: bool, first: list<string>|null} whether its part at once would save it, or a second pair of hands
     *   with every right, and which other promises break when it goes first; null when that does not save it
     */
    public function of(string $id): array
    {
        return ['part' => $this->part($id), 'hands' => $this->hands($id), 'first' => $this->first($id)];
    }

    private function part(string $id): bool
    {
        $waits = false;
        $jobs = $this->with($id, function (PlanJob $job) use (&$waits): PlanJob {
            return new PlanJob($job->id, $job->due, $job->weight, array_map(static function (Step $step) use (&$waits): Step {
                $waits = $waits || $step->notBefore > 0 || $step->waitsFor !== null;

                return $step->atOnce();
            }, $job->steps), $job->after);
        });

        if (! $waits) {
            return false;
        }
        $plan = $this->planned($this->workers, $jobs);

        return $plan->end($id) !== null && ! in_array($id, $this->lateIn($plan), true);
    }

    private function hands(string $id): bool
    {
        $rights = array_values(
            array_unique(array_merge(...array_map(static fn (Worker $worker): array => $worker->rights, $this->workers), ...[[]])),
        );
        $plan = $this->planned([...$this->workers, new Worker(self::SECOND, $this->open, $rights)], $this->jobs);

        return $plan->end($id) !== null && ! in_array($id, $this->lateIn($plan), true);
    }

    /** @return list<string>|null */
    private function first(string $id): ?array
    {
        $jobs = $this->with(
            $id,
            static fn (PlanJob $job): PlanJob => new PlanJob($job->id, $job->due, $job->weight * 1000 + 1000, $job->steps, $job->after),
        );
        $plan = $this->planned($this->workers, $jobs);
        $late = $this->lateIn($plan);
        if ($plan->end($id) === null || in_array($id, $late, true)) {
            return null;
        }

        $this->late ??= $this->lateIn($this->planned($this->workers, $this->jobs));

        return array_values(array_diff($late, $this->late));
    }

    /**
     * @param  callable(PlanJob): PlanJob  $change
     * @return list<PlanJob>
     */
    private function with(string $id, callable $change): array
    {
        return array_map(static fn (PlanJob $job): PlanJob => $job->id === $id ? $change($job) : $job, $this->jobs);
    }

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs
     */
    private function planned(array $workers, array $jobs): Planned
    {
        return (new Planner(self::STEPS, 0))->plan($workers, $jobs, $this->places, 1, $this->open);
    }

    /** @return list<string> */
    private function lateIn(Planned $plan): array
    {
        $late = [];
        foreach ($plan->problem->jobs as $j => $job) {
            if ($job->due !== null && $plan->timetable->ends[$j] > $job->due) {
                $late[] = $job->id;
            }
        }

        return $late;
    }
}
