<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Something that can be wrong with a machine. */
final readonly class Fault
{
    /**
     * @param  string  $area  where it belongs, e.g. “Motion”
     * @param  float  $rate  per 1,000 bench jobs on machines that have the traits
     * @param  array<string, list<string>>  $needs  trait => the values of it on which this fault is possible
     * @param  array<string, Strength>  $shows  finding code => how often it shows
     * @param  bool  $danger  a person can be hurt: red tag until it is mended
     * @param  list<string>  $behind  faults that usually lie behind this one
     * @param  list<string>  $brings  faults this one usually brings
     * @param  list<string>  $cautions
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $area,
        public float $rate,
        public array $needs,
        public array $shows,
        public Mend $mend,
        public bool $danger,
        public array $behind,
        public array $brings,
        public array $cautions,
    ) {
    }
}
