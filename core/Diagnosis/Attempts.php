<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;

/** Mends and swaps as steps: what can be put right now, and what would be known by it. */
final readonly class Attempts
{
    /** A mend is offered from this probability on. */
    private const WORTH_MENDING = 0.05;

    /** @param  array<int, list<int>>  $inQuestion  the faults in question, with the present findings each is linked to */
    public function __construct(
        private Knowledge $knowledge,
        private CaseFile $case,
        private Beliefs $beliefs,
        private array $inQuestion,
        private Loss $loss,
        private Looks $looks,
        private Settling $settling,
    ) {
    }

    /**
     * Changing a part that is on the shelf and seeing whether that was it: a perfect answer at the cost of the mend,
     * credited when it was right: only the wasted share of it counts.
     *
     * @return list<Step>
     */
    public function swaps(): array
    {
        $swaps = [];
        foreach ($this->byProbability() as $i => $p) {
            $fault = $this->fault($i);
            if ($p < self::WORTH_MENDING || ! $this->onShelf($fault) || ! $this->settling->maySwap($fault, $p)) {
                continue;
            }
            $swaps[] = $this->attempt('swap', $i, $p);
        }

        return $swaps;
    }

    /**
     * A swap or a mend as the answer it gives: perfect, and only the share of it that was for nothing costs.
     *
     * @param  'swap'|'mend'  $kind
     */
    public function attempt(string $kind, int $i, float $p): Step
    {
        $fault = $this->fault($i);
        $answers = [
            new Outcome('present', [], $p, $this->beliefs->ifFault($i, true)->faults),
            new Outcome('absent', [], 1 - $p, $this->beliefs->ifFault($i, false)->faults),
        ];
        $wasted = max(0.5, (1 - $p) * $this->loss->mend[$i] / $this->case->benchMinute);

        return new Step(
            $fault->code,
            $kind,
            $fault->mend()->minutes,
            State::Unplugged->value,
            false,
            false,
            $wasted,
            $this->looks->saved($this->inQuestion, $answers) / $wasted,
            $answers,
        );
    }

    private function onShelf(Fault $fault): bool
    {
        return $fault->mend()->parts !== [] && array_diff($fault->mend()->parts, $this->case->onShelf) === [];
    }

    /** @return list<Step> in order of probability over cost */
    public function mends(): array
    {
        $mends = [];
        foreach ($this->byProbability() as $i => $p) {
            $fault = $this->fault($i);
            if ($p >= self::WORTH_MENDING && $this->settling->mayMend($fault, $p)) {
                $mends[] = new Step(
                    $fault->code,
                    'mend',
                    $fault->mend()->minutes,
                    State::Unplugged->value,
                    false,
                    false,
                    $fault->mend()->minutes,
                    $p / $this->loss->mend[$i],
                    [],
                    because: Because::Likely,
                    fault: $fault->code,
                );
            }
        }
        usort($mends, static fn (Step $a, Step $b): int => [$b->savesPerMinute, $a->code] <=> [$a->savesPerMinute, $b->code]);

        return $mends;
    }

    public function fault(int $i): Fault
    {
        return $this->knowledge->faults[$this->beliefs->network->faults[$i]];
    }

    /** @return array<int, float> the faults in question, likeliest first */
    public function byProbability(): array
    {
        $faults = array_intersect_key($this->beliefs->now()->faults, $this->inQuestion);
        arsort($faults);

        return $faults;
    }

    public function probability(string $fault): float
    {
        return $this->beliefs->now()->faults[(int) array_search($fault, $this->beliefs->network->faults, true)];
    }
}
