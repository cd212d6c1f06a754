<?php

declare(strict_types=1);

namespace OddBench\Machines;

/** The print hours of a machine at a moment, from counters read before it. */
final readonly class HoursJudged
{
    /**
     * @param  float  $hours  the likeliest; where no rate is known, what it has at least
     * @param  float  $low  with nine in ten between low and high
     * @param  float  $high  never more than a clock has run since
     * @param  float|null  $perWeek  hours it runs in a week, 0 to 168; null when neither it nor the shop tells
     * @param  bool  $read  the counter was read at that very moment: nothing is estimated
     * @param  bool  $own  the rate is the machine’s own, and not its shop’s
     */
    public function __construct(
        public float $hours,
        public float $low,
        public float $high,
        public ?float $perWeek,
        public bool $read,
        public bool $own,
        public string $because,
    ) {
    }
}
