<?php

declare(strict_types=1);

namespace OddBench\Money;

/** One staged test of a machine on offer. */
final readonly class BidStage
{
    /**
     * @param  int  $cost  what this stage takes, hands and parts, minor units
     * @param  float  $passes  probability that it passes, 0 to 1
     * @param  int  $fallback  what it brings when it stops here
     * @param  string  $end  what stopping here is called, as “split”
     */
    public function __construct(public string $name, public int $cost, public float $passes, public int $fallback, public string $end)
    {
    }
}
