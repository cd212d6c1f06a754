<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;

/**
 * What to do next: of the steps that pay, the one that saves most of the expected loss per minute. A look pays when it
 * lowers the expected cost of mending in vain by more than it costs itself; when none does, mend in order of
 * probability over cost (both Heckerman, Breese and Rommelse 1995, Decision-theoretic troubleshooting).
 */
final readonly class NextSteps
{
    private const MOST = 8;

    /** A mend is offered from this probability on. */
    private const WORTH_MENDING = 0.05;

    private Loss $loss;

    private RepairCost $repair;

    private CheckOutcomes $outcomes;

    /** @var array<string, int> finding code => index */
    private array $index;

    /** @var array<int, list<int>> faults linked to a present finding */
    private array $linked;

    /** @var array<int, list<int>> those of them that a complaint is linked to: what is only told of its past makes no fault a question */
    private array $inQuestion;

    public function __construct(private Knowledge $knowledge, private CaseFile $case, private Beliefs $beliefs, private bool $redTag)
    {
        $this->loss = Loss::of($beliefs->network, $knowledge, $case);
        $this->index = array_flip($beliefs->network->findings);
        $this->outcomes = new CheckOutcomes($beliefs, $this->index);
        $this->linked = $beliefs->linked();
        $this->inQuestion = $this->inQuestion();
        $this->repair = new RepairCost(array_keys($this->inQuestion), $this->loss->mend);
    }

    /** @return array<int, list<int>> by fault; all that are linked when nothing but its past is known */
    private function inQuestion(): array
    {
        $complained = [];
        foreach ($this->linked as $fault => $findings) {
            foreach ($findings as $finding) {
                if (! $this->knowledge->findings[$this->beliefs->network->findings[$finding]]->circumstance) {
                    $complained[$fault] = $findings;
                }
            }
        }

        return $complained === [] ? $this->linked : $complained;
    }

    /** @return list<Step> best first */
    public function ranked(): array
    {
        $looks = [];
        foreach ($this->knowledge->checks as $check) {
            $step = $this->possible($check) ? $this->look($check) : null;
            if ($step !== null) {
                $looks[] = $step;
            }
        }
        // whether a swap was right shows under power only
        if ($this->case->swapFirst && ! $this->redTag) {
            array_push($looks, ...$this->swaps());
        }
        usort($looks, self::better(...));

        $steps = $this->judged($looks);
        $pay = array_values(array_filter($steps, static fn (Step $step): bool => $step->pays));
        $rest = array_values(array_filter($steps, static fn (Step $step): bool => ! $step->pays));

        return array_slice([...$pay, ...($pay === [] ? $this->mends() : []), ...$rest], 0, self::MOST);
    }

    /**
     * @param  list<Step>  $looks
     * @return list<Step> the same, with those that pay marked
     */
    private function judged(array $looks): array
    {
        $now = $this->repair->inVain($this->beliefs->now()->faults);

        return array_map(function (Step $step) use ($now): Step {
            $then = 0.0;
            foreach ($step->answers as $answer) {
                $then += $answer->probability * $this->repair->inVain($answer->beliefs);
            }

            return $now - $then > $step->costMinutes * $this->case->benchMinute ? $step->thatPays() : $step;
        }, $looks);
    }

    private static function better(Step $a, Step $b): int
    {
        if (abs($a->savesPerMinute - $b->savesPerMinute) > 1e-9 * max(1.0, abs($a->savesPerMinute))) {
            return $b->savesPerMinute <=> $a->savesPerMinute;
        }

        return [$a->minutes, $a->needsPower, $a->code] <=> [$b->minutes, $b->needsPower, $b->code];
    }

    private function possible(Check $check): bool
    {
        if (in_array($check->code, $this->case->hidden, true) || ! $this->case->traits->allow($check->needs)) {
            return false;
        }

        return ! $this->redTag || ! $check->state->needsPower() || $check->supervised;
    }

    private function look(Check $check): ?Step
    {
        $answers = $this->bears($check) ? $this->outcomes->of($check) : [];
        if ($answers === []) {
            return null;
        }
        $counting = $this->linked;
        foreach ($check->yields as $code) {
            $counting += array_fill_keys($this->beliefs->network->parents[$this->index[$code]], []);
        }
        $minutes = $check->minutes + $this->knowledge->bench->minutesToReach($check->state);

        return new Step($check->code, 'check', $minutes, $check->state->value, $check->state->needsPower(), $check->supervised, $minutes, $this->saved($counting, $answers) / $minutes, $answers);
    }

    /** Could it show something of a fault that is in question? Other looks do not belong to this complaint. */
    private function bears(Check $check): bool
    {
        foreach (array_keys($this->inQuestion) as $fault) {
            if (array_intersect_key(array_flip($check->yields), $this->knowledge->faults[$this->beliefs->network->faults[$fault]]->shows) !== []) {
                return true;
            }
        }

        return $this->inQuestion === [];
    }

    /**
     * @param  array<int, mixed>  $counting  keyed by fault
     * @param  list<Outcome>  $answers
     */
    private function saved(array $counting, array $answers): float
    {
        $saved = $this->loss->over($counting, $this->beliefs->now()->faults);
        foreach ($answers as $answer) {
            $saved -= $answer->probability * $this->loss->over($counting, $answer->beliefs);
        }

        return max(0.0, $saved);
    }

    /**
     * Changing a part that is on the shelf and seeing whether that was it: a perfect answer at the cost of the mend,
     * credited when it was right: only the wasted share of it counts.
     *
     * @return list<Step>
     */
    private function swaps(): array
    {
        $swaps = [];
        $now = $this->beliefs->now()->faults;
        foreach (array_keys($this->inQuestion) as $i) {
            $fault = $this->knowledge->faults[$this->beliefs->network->faults[$i]];
            if ($now[$i] < self::WORTH_MENDING || ! $this->onShelf($fault)) {
                continue;
            }
            $yes = $this->beliefs->ifFault($i, true)->faults;
            $no = $this->beliefs->ifFault($i, false)->faults;
            $answers = [new Outcome('present', [], $now[$i], $yes), new Outcome('absent', [], 1 - $now[$i], $no)];
            $wasted = max(0.5, (1 - $now[$i]) * $this->loss->mend[$i] / $this->case->benchMinute);
            $swaps[] = new Step($fault->code, 'swap', $fault->mend()->minutes, State::Unplugged->value, false, false, $wasted, $this->saved($this->linked, $answers) / $wasted, $answers);
        }

        return $swaps;
    }

    private function onShelf(Fault $fault): bool
    {
        return $fault->mend()->parts !== [] && array_diff($fault->mend()->parts, $this->case->onShelf) === [];
    }

    /** @return list<Step> in order of probability over cost */
    private function mends(): array
    {
        $mends = [];
        $now = $this->beliefs->now()->faults;
        foreach (array_keys($this->inQuestion) as $i) {
            if ($now[$i] >= self::WORTH_MENDING) {
                $fault = $this->knowledge->faults[$this->beliefs->network->faults[$i]];
                $mends[] = new Step($fault->code, 'mend', $fault->mend()->minutes, State::Unplugged->value, false, false, $fault->mend()->minutes, $now[$i] / $this->loss->mend[$i], []);
            }
        }
        usort($mends, static fn (Step $a, Step $b): int => [$b->savesPerMinute, $a->code] <=> [$a->savesPerMinute, $b->code]);

        return $mends;
    }
}
