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
     * @param  array<string, float>  $shows  finding code => probability, 0 to 1, that this fault shows it
     * @param  string  $means  what it is, for somebody who has not met it
     * @param  string|null  $tells  how to be sure, in words
     * @param  list<string>  $settle  the looks that settle it, in the order they are taken: check codes
     * @param  non-empty-list<Mend>  $mends  the ways to put it right; the first is the usual one, others are other schools
     * @param  bool  $danger  a person can be hurt: red tag until it is mended
     * @param  list<string>  $behind  faults that usually lie behind this one
     * @param  list<string>  $brings  faults this one usually brings
     * @param  list<string>  $cautions
     * @param  Sisters|null  $sisters  why a find is a reason to look at other machines
     * @param  array<string, list<string>>|null  $qualified  the mend is for qualified people only, where the traits are these
     *   (all, when empty); null for never
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $area,
        public float $rate,
        public array $needs,
        public array $shows,
        public string $means,
        public ?string $tells,
        public array $mends,
        public bool $danger,
        public array $behind,
        public array $brings,
        public array $cautions,
        public ?Sisters $sisters = null,
        public array $settle = [],
        public ?array $qualified = null,
    ) {
    }

    /** Whether its mend on such a machine is for qualified people only (mains side). */
    public function forQualified(Traits $traits): bool
    {
        return $this->qualified !== null && $traits->allow($this->qualified);
    }

    /** The usual way to put it right; costs are reckoned with it. */
    public function mend(): Mend
    {
        return $this->mends[0];
    }
}
