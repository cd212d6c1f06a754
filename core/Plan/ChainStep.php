<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Intake\Station;

/** A step that a job still has ahead of it, in words. */
final readonly class ChainStep
{
    /**
     * @param  int  $hands  minutes, of somebody practised as usual
     * @param  array<string, int>  $handsBy  name => minutes, of those who are known to take more or less
     * @param  int  $alone  minutes that follow
     * @param  Watch  $watch  who must be there while it goes by itself
     * @param  string  $because  why that is so; empty when nothing goes by itself
     * @param  list<string>  $rights
     * @param  string|null  $place  what it takes up besides its bench
     * @param  string|null  $part  class of part it waits for
     * @param  bool  $begun  it goes by itself already
     */
    public function __construct(
        public string $what,
        public Station $station,
        public int $hands,
        public int $alone = 0,
        public Watch $watch = Watch::Nobody,
        public string $because = '',
        public array $handsBy = [],
        public array $rights = [],
        public ?string $place = null,
        public ?string $part = null,
        public bool $begun = false,
    ) {
    }

    /** The same under another name. */
    public function called(string $what): self
    {
        return new self(
            $what,
            $this->station,
            $this->hands,
            $this->alone,
            $this->watch,
            $this->because,
            $this->handsBy,
            $this->rights,
            $this->place,
            $this->part,
            $this->begun,
        );
    }
}
