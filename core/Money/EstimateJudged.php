<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What a job will cost, as far as it can be known, in minor units. */
final readonly class EstimateJudged
{
    /**
     * @param  int  $expected  the mean over the lines
     * @param  int  $ceiling  the smallest sum that is not exceeded with the share asked for
     * @param  float  $within  how likely it is not exceeded, 0 to 1: the share asked for, or more
     * @param  non-empty-list<int>  $sums  by line
     */
    public function __construct(
        public int $expected,
        public int $ceiling,
        public float $within,
        public int $least,
        public int $most,
        public array $sums,
        public string $because,
    ) {
    }
}
