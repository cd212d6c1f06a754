<?php

declare(strict_types=1);

namespace OddBench\Stock;

/**
 * How long a supplier takes, learned from what came: what the supplier says counts like three deliveries, each one that was
 * is one more (shrinkage to a prior of fixed weight).
 */
final readonly class LeadTime
{
    private const SAYS_COUNTS = 3;

    /** Where nothing is known, deliveries stray by a quarter of their time (common practice, from memory). */
    private const STRAYS = 0.25;

    private function __construct(public float $meanDays, public float $sdDays)
    {
    }

    /**
     * @param  float  $says  days the supplier says, 0 to 365
     * @param  list<float>  $took  days from order to receipt of each delivery
     */
    public static function of(float $says, array $took): self
    {
        $n = count($took);
        $mean = (self::SAYS_COUNTS * $says + array_sum($took)) / (self::SAYS_COUNTS + $n);
        $own = array_sum(array_map(static fn (float $days): float => ($days - $mean) ** 2, $took));

        return new self($mean, sqrt((self::SAYS_COUNTS * (self::STRAYS * $mean) ** 2 + $own) / (self::SAYS_COUNTS + $n)));
    }

    /** From order to bin on average, in weeks. */
    public function meanWeeks(): float
    {
        return $this->meanDays / 7;
    }

    /** How much that wavers, in weeks. */
    public function sdWeeks(): float
    {
        return $this->sdDays / 7;
    }
}
