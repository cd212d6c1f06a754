<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How a fault is put right: what is done, how long it takes, what is touched and which classes of part it needs. */
final readonly class Mend
{
    /**
     * @param  string|null  $school  the name of this way where people differ, e.g. “turn the rail”
     * @param  float  $minutes  hands-on bench minutes
     * @param  list<string>  $touches  subsystems that must be proved again
     * @param  list<string>  $parts  part classes
     */
    public function __construct(
        public ?string $school,
        public string $do,
        public float $minutes,
        public array $touches,
        public array $parts,
    ) {
    }
}
