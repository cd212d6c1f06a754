<?php

declare(strict_types=1);

namespace OddBench\Stock;

/** What a count says against what the shelf said at the moment of counting. */
final readonly class Variance
{
    /**
     * @param  int  $pieces  below zero when some are missing
     * @param  int  $value  of them, in minor units of money, at the average cost
     */
    private function __construct(public int $pieces, public int $value)
    {
    }

    /**
     * @param  int  $counted  seen in the bin
     * @param  int  $expected  what the shelf said then
     * @param  Holding  $holding  of the part, all bins together
     */
    public static function of(int $counted, int $expected, Holding $holding): self
    {
        $pieces = $counted - $expected;

        return new self($pieces, $pieces < 0 ? -$holding->share(min(-$pieces, $holding->count)) : $pieces * $holding->each());
    }
}
