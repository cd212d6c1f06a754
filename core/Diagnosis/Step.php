<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** Something to do next: a check, a sweep of quick checks, a swap of a part, or a mend. */
final readonly class Step
{
    /**
     * @param  string  $code  of the check (of the first of a sweep), or of the fault that is swapped for or mended
     * @param  'check'|'sweep'|'swap'|'mend'  $kind
     * @param  float  $minutes  hands-on, with the time to bring the machine into its state
     * @param  float  $costMinutes  what it costs to know the answer: a swap only costs when it was not that
     * @param  float  $savesPerMinute  in the unit of the bench minute’s cost
     * @param  list<Outcome>  $answers
     * @param  bool  $pays  it lowers the expected cost of mending in vain by more than it costs
     * @param  list<Step>  $looks  of a sweep
     * @param  string|null  $fault  the fault it settles, where it stands first for that
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
        public array $looks = [],
        public Because $because = Because::Saves,
        public ?string $fault = null,
    ) {
    }

    /** The same step, said to be worth its minutes. */
    public function thatPays(): self
    {
        return $this->with(true, $this->because, $this->fault);
    }

    /** The same, put first for a fault it settles: worth its minutes whatever it saves. */
    public function settles(string $fault, Because $because): self
    {
        return $this->with(true, $because, $fault);
    }

    private function with(bool $pays, Because $because, ?string $fault): self
    {
        return new self(
            $this->code,
            $this->kind,
            $this->minutes,
            $this->state,
            $this->needsPower,
            $this->supervised,
            $this->costMinutes,
            $this->savesPerMinute,
            $this->answers,
            $pays,
            $this->looks,
            $because,
            $fault,
        );
    }
}
