<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A step with its person and its time, minutes of the plan. */
final readonly class Placed
{
    /**
     * @param  int  $job  place in the list of jobs
     * @param  int  $step  place in its chain
     * @param  int  $worker  place in the list of people; -1 for nobody
     * @param  int  $end  when its hands are over
     * @param  int  $aloneUntil  when it is over
     */
    public function __construct(
        public int $job,
        public int $step,
        public int $worker,
        public int $start,
        public int $end,
        public int $aloneUntil,
    ) {
    }
}
