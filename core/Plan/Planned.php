<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A plan with what it leaves out, and how good it is. */
final readonly class Planned
{
    /**
     * @param  list<Unplaced>  $unplaced
     * @param  bool  $proved  nothing better is possible
     * @param  float  $bound  no plan has less weighted lateness
     * @param  float  $completionBound  no plan has a smaller sum of completion times
     */
    public function __construct(
        public Problem $problem,
        public Timetable $timetable,
        public array $unplaced,
        public bool $proved,
        public float $bound,
        public float $completionBound,
    ) {
    }

    /** By how much at most a better plan could be better in what counts first, as a share of what this one costs. */
    public function gap(): float
    {
        if ($this->proved) {
            return 0.0;
        }
        $score = $this->timetable->score;
        [$is, $least] = $score->lateness > 1e-6 ? [$score->lateness, $this->bound] : [(float) $score->completion, $this->completionBound];

        return $is <= 0.0 ? 0.0 : max(0.0, ($is - $least) / $is);
    }

    /** When a job of the plan is over; nothing when it is not planned to its end. */
    public function end(string $id): ?int
    {
        foreach ($this->unplaced as $one) {
            if ($one->job === $id) {
                return null;
            }
        }
        foreach ($this->problem->jobs as $j => $job) {
            if ($job->id === $id) {
                return $this->timetable->ends[$j];
            }
        }

        return null;
    }
}
