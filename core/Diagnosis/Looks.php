<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;
use OddBench\Knowledge\Knowledge;

/**
 * The looks that can be made now, and what each is worth: the expected loss it saves, over the faults in question and the
 * dangerous ones it bears on (Heckerman, Breese and Rommelse 1995, one observation looked ahead).
 */
final readonly class Looks
{
    private CheckOutcomes $outcomes;

    /** @var array<string, int> finding code => index */
    private array $index;

    /** @var array<string, int> finding code => how many looks show it */
    private array $yieldedBy;

    /** @var array<string, true> present findings */
    private array $present;

    /** @param  array<int, list<int>>  $inQuestion  keyed by fault */
    public function __construct(
        private Knowledge $knowledge,
        private CaseFile $case,
        private Beliefs $beliefs,
        private Loss $loss,
        private array $inQuestion,
        private bool $redTag,
    ) {
        $this->index = array_flip($beliefs->network->findings);
        $this->outcomes = new CheckOutcomes($beliefs, $this->index);
        $this->yieldedBy = array_count_values(array_merge(
            [],
            ...array_values(array_map(static fn (Check $check): array => $check->yields, $knowledge->checks)),
        ));
        $this->present = array_fill_keys(array_keys($case->findings, true, true), true);
    }

    /** @return array<string, Check> those that can be made and have something left to show, by code */
    public function possible(): array
    {
        return array_filter($this->knowledge->checks, $this->canBeMade(...));
    }

    private function canBeMade(Check $check): bool
    {
        if (in_array($check->code, $this->case->hidden, true) || ! $this->case->traits->allow($check->needs)) {
            return false;
        }
        if ($this->redTag && $check->state->needsPower() && ! $check->supervised) {
            return false;
        }
        if (array_intersect_key(array_flip($check->notWhen), $this->present) !== []) {
            return false;
        }
        if ($check->onlyWhen !== [] && array_intersect_key(array_flip($check->onlyWhen), $this->present) === []) {
            return false;
        }

        return ! $this->wasMade($check);
    }

    /** Everything it shows is known, or something is known not to be there that no other look shows. */
    private function wasMade(Check $check): bool
    {
        $open = false;
        foreach ($check->yields as $finding) {
            $known = $this->case->findings[$finding] ?? null;
            if ($known === false && $this->yieldedBy[$finding] === 1) {
                return true;
            }
            $open = $open || $known === null;
        }

        return ! $open;
    }

    /** The look as a step, with its answers; nothing when it does not belong to this complaint. */
    public function step(Check $check): ?Step
    {
        $answers = $this->bears($check) ? $this->outcomes->of($check) : [];
        if ($answers === []) {
            return null;
        }
        $minutes = $check->minutes + $this->knowledge->bench->minutesToReach($check->state);

        return new Step(
            $check->code,
            'check',
            $minutes,
            $check->state->value,
            $check->state->needsPower(),
            $check->supervised,
            $minutes,
            $this->saved($this->counting($check), $answers) / $minutes,
            $answers,
        );
    }

    /**
     * The faults that count: those in question, and the dangerous ones among what the look bears on.
     *
     * @return array<int, mixed> keyed by fault
     */
    private function counting(Check $check): array
    {
        $counting = $this->inQuestion;
        foreach ($check->yields as $code) {
            foreach ($this->beliefs->network->parents[$this->index[$code]] as $fault) {
                if ($this->knowledge->faults[$this->beliefs->network->faults[$fault]]->danger) {
                    $counting[$fault] = [];
                }
            }
        }

        return $counting;
    }

    /** Could it show something of a fault that is in question? Other looks do not belong to this complaint. */
    private function bears(Check $check): bool
    {
        foreach (array_keys($this->inQuestion) as $fault) {
            if (array_intersect_key(
                array_flip($check->yields),
                $this->knowledge->faults[$this->beliefs->network->faults[$fault]]->shows,
            ) !== []) {
                return true;
            }
        }

        return $this->inQuestion === [];
    }

    /**
     * @param  array<int, mixed>  $counting  keyed by fault
     * @param  list<Outcome>  $answers
     */
    public function saved(array $counting, array $answers): float
    {
        $saved = $this->loss->over($counting, $this->beliefs->now()->faults);
        foreach ($answers as $answer) {
            $saved -= $answer->probability * $this->loss->over($counting, $answer->beliefs);
        }

        return max(0.0, $saved);
    }
}
