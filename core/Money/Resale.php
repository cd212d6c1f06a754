<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What a machine made that was bought broken and sold: its price less everything that was spent on it but hands. */
final readonly class Resale
{
    /** Below so many minutes of hands there is no figure for an hour. */
    private const LEAST_MINUTES = 1.0;

    /**
     * @param  int  $price  it was sold for, minor units
     * @param  int  $bought  what was paid for it
     * @param  int  $spent  freight, what was missing, selling and the parts used in it, at cost
     * @param  float  $minutes  of hands
     */
    public function __construct(private int $price, private int $bought, private int $spent, private float $minutes)
    {
    }

    /** Minor units; below zero it was lost. */
    public function made(): int
    {
        return $this->price - $this->bought - $this->spent;
    }

    /** The same for an hour of hands, minor units; null where no hands were noted. */
    public function perHour(): ?int
    {
        return $this->minutes < self::LEAST_MINUTES ? null : (int) round($this->made() * 60 / $this->minutes);
    }
}
