<?php

declare(strict_types=1);

namespace OddBench\Money;

/** A broken machine on offer. */
final readonly class BidCase
{
    /**
     * @param  list<BidStage>  $stages  in the order they are tested
     * @param  int  $sellsAt  what it brings when every stage passed, minor units
     * @param  int  $costs  that come whatever happens: freight, fees, selling
     * @param  int  $margin  what is to be earned on the average
     */
    public function __construct(public array $stages, public int $sellsAt, public int $costs, public int $margin)
    {
    }
}
