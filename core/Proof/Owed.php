<?php

declare(strict_types=1);

namespace OddBench\Proof;

use OddBench\Knowledge\Proof;

/** A proof that is owed, and why. */
final readonly class Owed
{
    public function __construct(public Proof $proof, public string $because)
    {
    }

    /** Does a measured value pass? A proof without limits is judged by eye. */
    public function passes(float $value): bool
    {
        return ($this->proof->least === null || $value >= $this->proof->least)
            && ($this->proof->most === null || $value <= $this->proof->most);
    }

    /** The limits in words, such as “97 to 103 mm”; empty when there are none. */
    public function limits(): string
    {
        $unit = $this->proof->unit ?? '';

        return match (true) {
            $this->proof->least !== null && $this->proof->most !== null => "{$this->proof->least} to {$this->proof->most} {$unit}",
            $this->proof->least !== null => "at least {$this->proof->least} {$unit}",
            $this->proof->most !== null => "at most {$this->proof->most} {$unit}",
            default => '',
        };
    }
}
