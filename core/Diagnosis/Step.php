<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** Something to do next: a check, a swap of a part, or a mend. */
final readonly class Step
{
    /**
     * @param  string  $code  of the check, or of the fault that is swapped for or mended
     * @param  'check'|'swap'|'mend'  $kind
     * @param  float  $minutes  hands-on, with the time to bring the machine into its state
     * @param  float  $savesPerMinute  in the unit of the bench minute’s cost
     * @param  list<Outcome>  $answers
     */
    public function __construct(
        public string $code,
        public string $kind,
        public float $minutes,
        public string $state,
        public bool $needsPower,
        public bool $supervised,
        public float $savesPerMinute,
        public array $answers,
    ) {
    }
}
