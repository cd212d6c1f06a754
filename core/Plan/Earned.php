<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Knowledge\Heat;
use OddBench\Knowledge\Stage;

/**
 * What a machine has earned: nothing hot runs unattended that has not shown that it stops by itself (common practice). Whether a shop
 * lets anything hot run with nobody in the house is its own word; its insurer and local rules go first.
 */
final readonly class Earned
{
    /**
     * @param  bool  $redTag  it wears one
     * @param  bool  $stops  every runaway test it owes was passed since it was worked on
     * @param  bool  $holds  it held its temperature
     * @param  bool  $printed  a small print came out well
     * @param  bool  $mainsBed  its bed is on the mains
     * @param  list<string>  $lacking  runaway tests that were not passed since: codes of proofs
     * @param  bool  $nights  the shop lets what is hot run with nobody in the house
     */
    public function __construct(
        public bool $redTag = false,
        public bool $stops = false,
        public bool $holds = false,
        public bool $printed = false,
        public bool $mainsBed = false,
        public bool $nights = false,
        public array $lacking = [],
    ) {
    }

    /**
     * When the proofs of a stage are passed. With one heater that was never seen to stop it has not shown that it stops.
     *
     * @param  list<string>  $passed  codes of proofs
     */
    public function after(Stage $stage, array $passed = []): self
    {
        return new self(
            $this->redTag,
            $this->stops || ($stage === Stage::Runaway && array_diff($this->lacking, $passed) === []),
            $this->holds || $stage === Stage::Heat,
            $this->printed || $stage === Stage::Print,
            $this->mainsBed,
            $this->nights,
            $this->lacking,
        );
    }

    /** When its red tag is off. */
    public function withoutRedTag(): self
    {
        return new self(false, $this->stops, $this->holds, $this->printed, $this->mainsBed, $this->nights, $this->lacking);
    }

    /**
     * Who must be there while a proof of this stage goes by itself, and why.
     *
     * @return array{Watch, string}
     */
    public function proving(Stage $stage): array
    {
        return match (true) {
            $stage === Stage::Cold => [Watch::Nobody, 'It is cold and unplugged.'],
            in_array(
                $stage,
                [Stage::Power, Stage::Motion],
                true,
            ) => [Watch::Beside, 'Power is on and it has not shown yet that it stays cool.'],
            in_array(
                $stage,
                [Stage::Heat, Stage::Runaway],
                true,
            ) => [Watch::Beside, 'It is heated and has not shown yet that it stops by itself.'],
            default => $this->hot(),
        };
    }

    /**
     * Who must be there while the machine is hot, and why.
     *
     * @return array{Watch, string}
     */
    public function hot(): array
    {
        return match (true) {
            $this->redTag => [Watch::Beside, 'It wears a red tag.'],
            ! $this->stops && ! $this->holds => [Watch::Beside, 'It has passed no runaway test and has not held its temperature.'],
            ! $this->stops => [Watch::InTheShop, 'It has passed no runaway test since it was worked on.'],
            ! $this->holds => [Watch::InTheShop, 'It has not held its temperature since it was worked on.'],
            ! $this->printed => [Watch::InTheShop, 'No small print has come out well yet.'],
            $this->mainsBed => [Watch::InTheShop, 'Its bed is on the mains.'],
            ! $this->nights => [Watch::InTheShop, 'This shop lets nothing hot run with nobody in the house.'],
            default => [Watch::Nobody, 'It has passed its runaway test, held its temperature and printed.'],
        };
    }

    /**
     * Who must be there while something of a repair is waited for, and why. What nobody has said to be cold may be hot.
     *
     * @param  Heat|null  $heat  of the machine meanwhile
     * @param  bool  $oven  in the shop’s own, without the machine
     * @return array{Watch, string}
     */
    public function waiting(?Heat $heat, bool $oven): array
    {
        return match (true) {
            $oven => $this->oven(),
            $heat === null => [Watch::InTheShop, 'Nobody has said whether it is hot.'],
            $heat === Heat::Cold => [Watch::Nobody, ''],
            $heat === Heat::Falling => [Watch::InTheShop, 'It is still hot, its heater is off.'],
            default => $this->hot(),
        };
    }

    /**
     * Who must be there while something dries in an oven or dryer of the shop's own, and why.
     *
     * @return array{Watch, string}
     */
    public function oven(): array
    {
        return $this->nights
            ? [Watch::Nobody, 'The shop lets its dryer run with nobody in the house.']
            : [Watch::InTheShop, 'This shop lets nothing hot run with nobody in the house.'];
    }
}
