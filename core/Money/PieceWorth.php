<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What one part of a machine is worth on the shelf. */
final readonly class PieceWorth
{
    /**
     * @param  float  $left  share of a new one’s worth that is left, 0 to 1
     * @param  float  $asked  probability that it is asked for within a year
     * @param  int  $worth  after taking it out, minor units
     */
    public function __construct(public DonorPart $part, public float $left, public float $asked, public int $worth)
    {
    }
}
