<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** One step of a job: minutes of hands that are not broken off, then minutes alone. */
final readonly class Step
{
    /**
     * @param  int  $hands  minutes
     * @param  int  $alone  minutes after its hands in which it needs nobody, unless somebody stays beside it
     * @param  bool  $beside  somebody stays until it is over
     * @param  list<string>  $rights  what who does it must be allowed
     * @param  list<string>  $places  what it takes up from its start until it is over
     * @param  int  $notBefore  minute of the plan
     * @param  string|null  $who  the only one who does it
     * @param  array<string, int>  $handsBy  minutes of hands of those who take more or less than usual
     * @param  string|null  $waitsFor  what it waits for, without a date
     * @param  bool  $begun  it is under way: it goes before everything else
     * @param  bool  $pinned  somebody put it where it is: it goes before what nobody did
     * @param  bool  $attended  somebody is in the shop until it is over
     */
    public function __construct(
        public int $hands,
        public int $alone = 0,
        public bool $beside = false,
        public array $rights = [],
        public array $places = [],
        public int $notBefore = 0,
        public ?string $who = null,
        public array $handsBy = [],
        public ?string $waitsFor = null,
        public bool $begun = false,
        public bool $attended = false,
        public bool $pinned = false,
    ) {
    }

    /** Minutes of hands when this person does it. */
    public function handsOf(string $name): int
    {
        return $this->handsBy[$name] ?? $this->hands;
    }

    /** Whether anybody is needed at all. */
    public function needsSomebody(): bool
    {
        return $this->hands > 0 || $this->beside;
    }

    /** Minutes in which this person can do nothing else. */
    public function keeps(string $name): int
    {
        return $this->handsOf($name) + ($this->beside ? $this->alone : 0);
    }

    /** The same step when everything it waits for is here. */
    public function atOnce(): self
    {
        return new self(
            $this->hands,
            $this->alone,
            $this->beside,
            $this->rights,
            $this->places,
            0,
            $this->who,
            $this->handsBy,
            null,
            $this->begun,
            $this->attended,
            $this->pinned,
        );
    }
}
