<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** One step of a guide. */
final readonly class GuideStep
{
    /**
     * @param  Power  $power  how the power is while it is done
     * @param  Heat  $heat  how the heat is while it is done
     * @param  bool  $powerChanges  this step changes the power
     * @param  bool  $heatChanges  this step changes the heat
     * @param  string|null  $target  what must be so afterwards, with its figure
     * @param  list<string>  $hazards
     * @param  string|null  $school  only for those who do it this way
     * @param  string|null  $part  class of the part of the kit that goes in here
     * @param  'out'|'in'|null  $heater  the heater leaves its block, or is back in it
     * @param  bool  $metalNearLeads  a metal tool is used near the leads of the head
     * @param  string|null  $instrument  what judges it
     */
    public function __construct(
        public string $do,
        public Power $power,
        public Heat $heat,
        public bool $powerChanges,
        public bool $heatChanges,
        public ?string $target,
        public ?string $caution,
        public array $hazards,
        public ?Timer $timer,
        public ?string $school,
        public ?string $part,
        public ?string $heater,
        public bool $metalNearLeads,
        public ?string $instrument,
        public ?TakenOff $off,
    ) {
    }
}
