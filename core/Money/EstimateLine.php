<?php

declare(strict_types=1);

namespace OddBench\Money;

/** One way a job may turn out: how likely it is, and what it takes from where the search ends. */
final readonly class EstimateLine
{
    /**
     * @param  string  $code  what it is, as a fault or several
     * @param  float  $probability  0 to 1
     * @param  float  $minutes  of hands to mend and prove it
     * @param  int  $parts  what its parts cost, minor units
     */
    public function __construct(public string $code, public float $probability, public float $minutes, public int $parts)
    {
    }

    /** What is left of it when so many minutes of mending were done. */
    public function after(float $minutes): self
    {
        return new self($this->code, $this->probability, max(0.0, $this->minutes - $minutes), $this->parts);
    }
}
