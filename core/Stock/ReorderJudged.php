<?php

declare(strict_types=1);

namespace OddBench\Stock;

/** Whether and how much of a part to order. */
final readonly class ReorderJudged
{
    /**
     * @param  int  $point  the reorder point, in pieces: at this many free or fewer an order is due
     * @param  int  $packs  to order now, 0 for none
     * @param  float  $risk  probability that it runs out before an order of today is here
     * @param  float|null  $coverWeeks  what is free lasts so long; null when nothing is asked for
     * @param  int  $free  pieces nobody has a claim on
     * @param  float  $demandPerWeek  pieces
     * @param  string  $method  how that was found: rate, mean or croston
     * @param  string  $law  the distribution of what is asked for until an order is here
     */
    public function __construct(
        public int $point,
        public int $packs,
        public float $risk,
        public ?float $coverWeeks,
        public int $free,
        public float $demandPerWeek,
        public string $method,
        public string $law,
        public string $because,
    ) {
    }
}
