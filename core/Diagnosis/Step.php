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
     * @param  float  $costMinutes  what it costs to know the answer: a swap only costs when it was not that
     * @param  float  $savesPerMinute  in the unit of the bench minute’s cost
     * @param  list<Outcome>  $answers
     * @param  bool  $pays  it lowers the expected cost of mending in vain by more than it costs
     */
    public function __construct(
        public string $code,
        public string $kind,
        public float $minutes,
        public string $state,
        public bool $needsPower,
        public bool $supervised,
        public float $costMinutes,
        public float $savesPerMinute,
        public array $answers,
        public bool $pays = false,
    ) {
    }

    public function thatPays(): self
    {
        return new self($this->code, $this->kind, $this->minutes, $this->state, $this->needsPower, $this->supervised, $this->costMinutes, $this->savesPerMinute, $this->answers, true);
    }
}
