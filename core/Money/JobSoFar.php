<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What a job has taken already. */
final readonly class JobSoFar
{
    /**
     * @param  float  $findMinutes  of hands up to the confirmed fault
     * @param  float  $fixMinutes  of hands on mending and proving
     * @param  int  $partsPrice  what the parts used so far are sold at, minor units
     * @param  list<string>  $classes  of part that were used
     */
    public function __construct(
        public float $findMinutes = 0.0,
        public float $fixMinutes = 0.0,
        public int $partsPrice = 0,
        public array $classes = [],
    ) {
    }
}
