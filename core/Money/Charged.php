<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What a job is charged at, and what it cost the shop: two figures for two readers. Minor units. */
final readonly class Charged
{
    /** @param  list<int>  $partPrices  by kind of part */
    public function __construct(
        public int $hands,
        public int $parts,
        public array $partPrices,
        public int $freight,
        public int $net,
        public int $tax,
        public int $gross,
        public int $ownCost,
        public bool $minimumHeld,
    ) {
    }
}
