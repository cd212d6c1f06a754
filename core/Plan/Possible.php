<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** Sorts out what cannot be planned, and says why: the rest is planned all the same. */
final class Possible
{
    /** @var array<string, Unplaced> by job, the first of its steps that cannot be */
    private array $not = [];

    /** @var array<string, PlanJob> */
    private readonly array $byId;

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs
     * @param  array<string, int>  $places
     * @param  list<array{int, int}>|null  $open
     */
    private function __construct(
        private readonly array $workers,
        array $jobs,
        private readonly array $places,
        private readonly ?array $open,
    ) {
        $byId = [];
        foreach ($jobs as $job) {
            $byId[$job->id] = $job;
        }
        $this->byId = $byId;
    }

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs  of different names; what they come after is among them
     * @param  array<string, int>  $places
     * @param  list<array{int, int}>|null  $open  when somebody is in the shop; nothing: whenever one of them works
     * @return array{Problem, list<Unplaced>}
     */
    public static function of(array $workers, array $jobs, array $places, ?array $open = null): array
    {
        $possible = new self($workers, $jobs, $places, $open);
        foreach ($jobs as $job) {
            $possible->judge($job);
        }
        $possible->circles();
        $rest = [];
        foreach ($jobs as $job) {
            $steps = array_slice($job->steps, 0, isset($possible->not[$job->id]) ? $possible->not[$job->id]->step : null);
            if ($steps !== []) {
                $rest[] = new PlanJob($job->id, $job->due, $job->weight, $steps, $job->after);
            }
        }
        $there = array_map(static fn (PlanJob $job): string => $job->id, $rest);
        $rest = array_map(static fn (PlanJob $job): PlanJob => new PlanJob(
            $job->id,
            $job->due,
            $job->weight,
            $job->steps,
            array_values(array_intersect($job->after, $there)),
        ), $rest);

        return [new Problem($workers, $rest, $places, $open), array_values($possible->not)];
    }

    private function judge(PlanJob $job): void
    {
        foreach ($job->steps as $k => $step) {
            $why = $this->whyNot($step);
            if ($why !== null) {
                $this->not[$job->id] = new Unplaced($job->id, $k, $why);

                return;
            }
        }
    }

    private function whyNot(Step $step): ?string
    {
        if ($step->waitsFor !== null) {
            return sprintf('It waits for %s, and nobody said for how long: give it a date.', $step->waitsFor);
        }
        foreach ($step->places as $place) {
            if (($this->places[$place] ?? 1) < 1) {
                return sprintf('It needs a place that is not there: %s.', $place);
            }
        }
        if ($step->attended && $this->open !== null && $this->tooLongFor($step)) {
            return sprintf(
                'Somebody must be in the shop for the %d min it takes, and it is never open for so long: '
                .'stay longer, or let it run with nobody there where it has earned that.',
                $step->hands + $step->alone,
            );
        }
        if (! $step->needsSomebody()) {
            return null;
        }
        $may = array_values(array_filter($this->workers, static fn (Worker $worker): bool => $worker->may($step)));
        if ($may === []) {
            return match (true) {
                $this->workers === [] => 'Nobody works here in these days.',
                $step->who !== null => sprintf('It is kept for %s, who is not here or may not do it.', $step->who),
                default => sprintf('Nobody here may do it: it needs %s.', implode(' and ', $step->rights)),
            };
        }
        $most = max(array_map(static fn (Worker $worker): int => $worker->longest(), $may));
        if ($most === 0) {
            return 'Nobody who may do it is here in these days.';
        }
        $fits = array_filter($may, static fn (Worker $worker): bool => $worker->longest() >= $step->keeps($worker->name));

        return $fits !== [] ? null : sprintf(
            'It takes %d min in a row, and who may do it is never here for more than %d: part it into steps, or stay longer.',
            min(array_map(static fn (Worker $worker): int => $step->keeps($worker->name), $may)),
            $most,
        );
    }

    private function tooLongFor(Step $step): bool
    {
        foreach ($this->open ?? [] as [$from, $to]) {
            if ($to - $from >= $step->hands + $step->alone) {
                return false;
            }
        }

        return true;
    }

    /** Jobs that wait for each other, and those that wait for what is not planned to its end. */
    private function circles(): void
    {
        foreach ($this->byId as $job) {
            $way = $this->circle($job->id, []);
            if ($way !== null && ! isset($this->not[$job->id])) {
                $this->not[$job->id] = new Unplaced($job->id, 0, sprintf('They wait for each other: %s.', implode(' → ', $way)));
            }
        }
        do {
            $more = false;
            foreach ($this->byId as $job) {
                foreach ($job->after as $id) {
                    if (isset($this->not[$id]) && ($this->not[$job->id]->step ?? 1) > 0) {
                        $this->not[$job->id] = new Unplaced($job->id, 0, sprintf('It waits for %s, which is not planned to its end.', $id));
                        $more = true;
                    }
                }
            }
        } while ($more);
    }

    /**
     * @param  list<string>  $way
     * @return list<string>|null
     */
    private function circle(string $id, array $way): ?array
    {
        $at = array_search($id, $way, true);
        if ($at !== false) {
            return $at === 0 ? [...$way, $id] : null;
        }
        foreach ($this->byId[$id]->after ?? [] as $before) {
            $found = $this->circle($before, [...$way, $id]);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }
}
