<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A look or a measurement that settles whether findings are there. */
final readonly class Check
{
    /**
     * @param  float  $minutes  hands-on bench minutes
     * @param  State  $state  what the machine must be in
     * @param  bool  $supervised  somebody stands beside the switch
     * @param  bool  $qualified  mains side: qualified people only
     * @param  bool  $byPart  how a part is swapped for one known to be good; settles the fault it is swapped for
     * @param  list<string>  $yields  finding codes
     * @param  array<string, list<string>>  $needs  trait => values on which it can be done
     * @param  list<string>  $steps  two to five
     * @param  list<string>  $hazards  codes of what can hurt while it is done
     * @param  float|null  $takes  minutes until it is done where most of them need no hands
     * @param  string|null  $instrument  the instrument that judges its reading
     * @param  Reading|null  $reading  the value that is measured, where one value tells
     * @param  list<string>  $pictures  drawings to compare with by eye
     * @param  list<string>  $notWhen  findings with which it cannot be done, or tells nothing
     * @param  list<string>  $onlyWhen  findings of which one must be there, or it tells nothing; none for always
     */
    public function __construct(
        public string $code,
        public string $name,
        public float $minutes,
        public State $state,
        public bool $supervised,
        public bool $qualified,
        public bool $apart,
        public bool $byPart,
        public array $yields,
        public array $needs,
        public array $steps,
        public array $hazards,
        public ?float $takes,
        public ?string $instrument,
        public ?Reading $reading,
        public array $pictures,
        public ?string $caution,
        public array $notWhen = [],
        public array $onlyWhen = [],
    ) {
    }
}
