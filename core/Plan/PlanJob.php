<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A job as the plan sees it: a chain of steps, one after the other. */
final readonly class PlanJob
{
    /**
     * @param  int|null  $due  minute of the plan it is promised for; nothing when nobody was promised anything
     * @param  float  $weight  what a minute late weighs against that of another job, 0 and up
     * @param  list<Step>  $steps
     * @param  list<string>  $after  jobs that must be over before it begins
     */
    public function __construct(
        public string $id,
        public ?int $due,
        public float $weight,
        public array $steps,
        public array $after = [],
    ) {
    }

    /** Weighted lateness when it is over at that minute. */
    public function late(int $end): float
    {
        return $this->due === null ? 0.0 : $this->weight * max(0, $end - $this->due);
    }
}
