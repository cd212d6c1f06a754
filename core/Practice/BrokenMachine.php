<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** A machine whose faults are known to whoever made it up, but not to whoever is to find them. */
final readonly class BrokenMachine
{
    /**
     * @param  array<string, string>  $traits
     * @param  list<string>  $truth  codes of the faults that have to be found
     * @param  list<string>  $told  findings its owner tells, present
     * @param  array<string, true>  $shows  every finding that is there for whoever looks
     * @param  list<string>  $has  every fault it has, also those nobody complains of
     * @param  bool  $unheardOf  what is wrong with it stands on nobody’s list
     */
    public function __construct(
        public string $name,
        public array $traits,
        public array $truth,
        public array $told,
        public array $shows,
        public array $has = [],
        public bool $unheardOf = false,
    ) {
    }

    /** The same machine, with what is wrong with it on nobody’s list. */
    public function asUnheardOf(): self
    {
        return new self($this->name, $this->traits, $this->truth, $this->told, $this->shows, $this->has, true);
    }

    /**
     * What a look at these findings shows.
     *
     * @param  list<string>  $findings
     * @return array<string, 'present'|'absent'>
     */
    public function answer(array $findings): array
    {
        $answers = [];
        foreach ($findings as $finding) {
            $answers[$finding] = isset($this->shows[$finding]) ? 'present' : 'absent';
        }

        return $answers;
    }
}
