<?php

declare(strict_types=1);

namespace OddBench\Plan;

use DateTimeImmutable;

/** When a job is ready by a plan, and for when it was promised. */
final readonly class JobEnd
{
    /**
     * @param  string  $name  how people call it
     * @param  DateTimeImmutable|null  $ready  nothing when it is not planned to its end
     * @param  DateTimeImmutable|null  $due  the end of the day it was promised for
     */
    public function __construct(public string $name, public ?DateTimeImmutable $ready, public ?DateTimeImmutable $due)
    {
    }

    /** Days it is late by the calendar; 0 when it is in time, or nobody was promised anything. */
    public function lateDays(): int
    {
        if ($this->ready === null || $this->due === null || $this->ready <= $this->due) {
            return 0;
        }
        $due = $this->due->setTime(0, 0);

        return max(1, (int) $due->diff($this->ready->setTimezone($due->getTimezone())->setTime(0, 0))->days);
    }
}
