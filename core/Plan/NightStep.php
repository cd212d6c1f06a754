<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A step that could be started before everybody goes. */
final readonly class NightStep
{
    /**
     * @param  string  $job  what it is of
     * @param  int  $hands  minutes, 0 and up
     * @param  int  $alone  minutes it then goes by itself
     * @param  float  $weight  what a minute of this job weighs
     * @param  string|null  $place  what it takes up
     */
    public function __construct(
        public string $job,
        public string $what,
        public int $hands,
        public int $alone,
        public float $weight = 1.0,
        public ?string $place = null,
    ) {
    }
}
