<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** A broken machine as its owner tells of it, the looks somebody took, and what it was. */
final readonly class Story
{
    /**
     * @param  string  $says  the owner's own words
     * @param  list<string>  $told  findings in them, present
     * @param  list<string>  $toldNot  findings the owner says are not there
     * @param  array<string, list<string>>  $looks  check code => what was there; what else it settles was not
     * @param  non-empty-list<string>  $truth  faults that were there
     * @param  list<string>  $either  faults the looks do not tell apart; the first of truth is one of them
     * @param  string|null  $first  what it was taken for before the looks
     * @param  list<string>  $mended  faults mended before, in vain
     * @param  bool  $powerless  a sign of danger: unplugged before anything else is looked at
     */
    public function __construct(
        public string $code,
        public string $family,
        public string $says,
        public array $told,
        public array $toldNot,
        public array $looks,
        public array $truth,
        public array $either,
        public ?string $first,
        public array $mended,
        public bool $powerless,
    ) {
    }

    /**
     * What was known when the machine was booked in.
     *
     * @return array<string, 'present'|'absent'>
     */
    public function complaint(): array
    {
        return array_fill_keys($this->told, 'present') + array_fill_keys($this->toldNot, 'absent');
    }

    /**
     * What a look shows that somebody took.
     *
     * @param  list<string>  $yields  what the check settles
     * @return array<string, 'present'|'absent'>
     */
    public function lookedAt(string $check, array $yields): array
    {
        $answers = [];
        foreach ($yields as $finding) {
            $answers[$finding] = in_array($finding, $this->looks[$check] ?? [], true) ? 'present' : 'absent';
        }

        return $answers;
    }

    /** @param  array<string, string>  $traits  of its family */
    public function machine(array $traits): BrokenMachine
    {
        return new BrokenMachine(
            $this->code,
            $traits,
            $this->truth,
            $this->told,
            array_fill_keys([...$this->told, ...array_merge([], ...array_values($this->looks))], true),
        );
    }
}
