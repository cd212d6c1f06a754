<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Something a repair has to show before the machine goes back. */
final readonly class Proof
{
    /**
     * @param  list<string>  $touched  subsystems that make it owed
     * @param  list<string>  $mended  faults that make it owed
     * @param  bool  $anyMend  owed by every job in which a fault was mended
     * @param  bool  $neverWaived  somebody could be hurt without it: no lead waives it
     * @param  list<string>  $fitted  classes of part that make it owed when a new one went in
     * @param  bool  $always  owed by every job in which anything was touched
     * @param  array<string, list<string>>  $needs  trait => values on which it can be done
     * @param  string|null  $unit  of the value to write down; null when there is none
     * @param  string|null  $failsAs  the finding a failure is evidence of
     * @param  string  $because  what it clears, in words
     * @param  float|null  $everyMonths  owed with any work when this machine has not passed it for so long, or never
     * @param  'hold'|'runaway'|null  $log  what of a temperature log gives its value
     * @param  'hotend'|'bed'  $heater  whose temperature that is
     */
    public function __construct(
        public string $code,
        public string $name,
        public Stage $stage,
        public string $how,
        public string $because,
        public array $touched,
        public array $mended,
        public bool $always,
        public array $needs,
        public ?string $unit,
        public ?float $least,
        public ?float $most,
        public ?string $failsAs,
        public ?string $caution,
        public bool $anyMend = false,
        public array $fitted = [],
        public bool $neverWaived = false,
        public ?string $log = null,
        public string $heater = 'hotend',
        public ?float $everyMonths = null,
    ) {
    }
}
