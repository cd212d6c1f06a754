<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How long a step is waited for: from so many minutes to at most so many; oven: in the shop’s dryer, without the machine. */
final readonly class Timer
{
    public function __construct(public string $name, public float $minutes, public ?float $most, public bool $oven = false)
    {
    }

    /** Such as “15 to 20 min” or “6 h”. */
    public function words(): string
    {
        $unit = $this->minutes >= 120 ? 60 : 1;
        $to = $this->most === null ? '' : ' to '.round($this->most / $unit, 1);

        return round($this->minutes / $unit, 1).$to.($unit === 60 ? ' h' : ' min');
    }
}
