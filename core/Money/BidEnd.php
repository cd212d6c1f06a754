<?php

declare(strict_types=1);

namespace OddBench\Money;

/** One way it ends, and how likely. */
final readonly class BidEnd
{
    /**
     * @param  string|null  $name  what becomes of it; null when every stage passed
     * @param  float  $probability  0 to 1
     */
    public function __construct(public ?string $name, public float $probability)
    {
    }
}
