<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** Makes the plan: the best one where that can be proved, else the best of a search, with what it could be better by. */
final readonly class Planner
{
    /** Steps placed in a search: under a second for forty jobs and four people. */
    public const STEPS = 24_000;

    /** States looked at for a proof. */
    public const STATES = 6_000;

    /** With more steps than these a proof is not tried. */
    private const PROVABLE = 18;

    public function __construct(private int $steps = self::STEPS, private int $states = self::STATES)
    {
    }

    /**
     * @param  list<Worker>  $workers
     * @param  list<PlanJob>  $jobs
     * @param  array<string, int>  $places
     * @param  list<array{int, int}>|null  $open  when somebody is in the shop; nothing: whenever one of them works
     */
    public function plan(array $workers, array $jobs, array $places, int $seed = 1, ?array $open = null): Planned
    {
        [$problem, $unplaced] = Possible::of($workers, $jobs, $places, $open);
        $small = $problem->size() <= self::PROVABLE;
        $best = Search::best($problem, $small ? intdiv($this->steps, 8) : $this->steps, $seed);
        $bounds = LowerBound::of($problem, $best->score);
        $proved = $this->meets($best->score, $bounds);
        if ($small && $best->left === []) {
            [$best, $all] = BranchAndBound::from($problem, $best, $this->states);
            $proved = $proved || $all;
        }

        return new Planned(
            $problem,
            $best,
            [...$unplaced, ...$this->leftOver($problem, $best)],
            $proved,
            $proved ? $best->score->lateness : min($best->score->lateness, $bounds->lateness),
            $proved ? $best->score->completion : min($best->score->completion, $bounds->completion),
        );
    }

    private function meets(Score $score, LowerBound $bounds): bool
    {
        return $score->left === 0 && $score->lateness <= $bounds->lateness + 1e-6 && $score->completion <= ceil($bounds->completion - 1e-6);
    }

    /** @return list<Unplaced> */
    private function leftOver(Problem $problem, Timetable $plan): array
    {
        $left = [];
        foreach ($plan->left as $j => $k) {
            $left[] = new Unplaced($problem->jobs[$j]->id, $k, 'No hands are left for it in these days.');
        }

        return $left;
    }
}
