<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** From which value on a reading stands for a finding: below one value, above another, or both. */
final readonly class Limit
{
    public function __construct(public ?float $below, public ?float $above)
    {
    }

    /** Whether a value lies below the lower or above the upper limit. */
    public function reached(float $value): bool
    {
        return ($this->below !== null && $value < $this->below) || ($this->above !== null && $value > $this->above);
    }
}
