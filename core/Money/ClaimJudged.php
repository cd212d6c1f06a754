<?php

declare(strict_types=1);

namespace OddBench\Money;

/** Whether to wait for a claim or to mend. */
final readonly class ClaimJudged
{
    /**
     * @param  int  $wait  what the claim is worth, minor units; below zero when the effort is more
     * @param  int  $mendNow  what waiting costs
     * @param  bool  $mend  rather than wait
     * @param  float|null  $breaksEvenDays  of waiting that the claim is worth; null when a day costs nothing
     */
    public function __construct(
        public int $wait,
        public int $mendNow,
        public bool $mend,
        public ?float $breaksEvenDays,
        public string $because,
    ) {
    }
}
