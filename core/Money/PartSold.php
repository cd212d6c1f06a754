<?php

declare(strict_types=1);

namespace OddBench\Money;

/** Parts of one kind that a job took. */
final readonly class PartSold
{
    /**
     * @param  int  $count  pieces
     * @param  int  $cost  what one cost the shop, minor units
     * @param  float  $markupPct  what is put on it for the owner, per cent
     */
    public function __construct(public int $count, public int $cost, public float $markupPct)
    {
    }

    /** What they are sold at together, rounded once. */
    public function price(): int
    {
        return Exact::raised($this->count * $this->cost, $this->markupPct);
    }
}
