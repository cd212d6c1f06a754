<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** One line of a temperature log. */
final readonly class HeatSample
{
    /**
     * @param  float  $at  seconds
     * @param  float  $actual  °C
     * @param  float  $target  °C
     * @param  float|null  $power  in the log’s own unit; null when it tells none
     * @param  bool  $stopped  the firmware said here, or before, that it stopped
     * @param  string  $said  what it said then
     */
    public function __construct(
        public float $at,
        public float $actual,
        public float $target,
        public ?float $power,
        public bool $stopped,
        public string $said = '',
    ) {
    }

    /** The same moment, with the firmware’s word that it stopped. */
    public function halted(string $said): self
    {
        return new self($this->at, $this->actual, $this->target, $this->power, true, $said);
    }
}
