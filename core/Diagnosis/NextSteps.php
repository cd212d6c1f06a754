<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;
use OddBench\Knowledge\Knowledge;

/**
 * What to do next. Danger is settled first; then the likeliest cause is confirmed before a big mend, after quick looks
 * that are worth more for their minutes; then what pays by what it saves per minute; when nothing pays, mends in order of
 * probability over cost. A look pays when it lowers the expected cost of mending in vain by more than it costs (Heckerman,
 * Breese and Rommelse 1995, Decision-theoretic troubleshooting); the first two rules are common practice.
 */
final readonly class NextSteps
{
    /** A look of so many minutes, its way included, is a glance; it saves so many minutes for each of its own. */
    private const GLANCE = 3.0;

    private const GLANCE_SAVES = 2.0;

    /** A mend less likely than this is a long shot; a look that saves so many minutes for each of its own can still show something. */
    private const LONG_SHOT = 0.2;

    private const STILL_SHOWS = 0.2;

    /** Probability that it is none of the faults in question. */
    private float $none;

    private Loss $loss;

    private RepairCost $repair;

    private Looks $looks;

    private Settling $settling;

    private Attempts $attempts;

    /** @var array<string, Check> */
    private array $possible;

    /** @param  array<int, list<int>>  $inQuestion  the faults in question, with the present findings each is linked to */
    public function __construct(
        private Knowledge $knowledge,
        private CaseFile $case,
        private Beliefs $beliefs,
        array $inQuestion,
        bool $redTag,
        private bool $swaps,
    ) {
        $cost = new MendCost($knowledge, $case);
        $this->none = $beliefs->present === [] ? 0.0 : InQuestion::none($beliefs, $inQuestion);
        $this->loss = Loss::of($beliefs->network, $knowledge, $case, $cost);
        $this->repair = new RepairCost(array_keys($inQuestion), $this->loss->mend);
        $this->looks = new Looks($knowledge, $case, $beliefs, $this->loss, $inQuestion, $redTag);
        $this->possible = $this->looks->possible();
        $this->settling = new Settling(
            $knowledge,
            $case,
            $cost,
            $this->possible,
            array_fill_keys(array_keys($case->findings, true, true), true),
        );
        $this->attempts = new Attempts($knowledge, $case, $beliefs, $inQuestion, $this->loss, $this->looks, $this->settling);
    }

    /** @return list<Step> best first */
    public function ranked(): array
    {
        $looks = [];
        foreach ($this->possible as $check) {
            $step = $this->looks->step($check);
            if ($step !== null) {
                $looks[] = $step;
            }
        }
        usort($looks, StepOrder::better(...));
        $looks = $this->judged($looks);
        [$first, $dangerOpen] = $this->first($looks);
        $sweep = (new Sweep($this->knowledge))->best(array_values(array_filter(
            $looks,
            static fn (Step $s): bool => ! in_array($s->code, array_map(static fn (Step $f): string => $f->code, $dangerOpen), true),
        )));
        $rest = $this->swaps ? $this->judged($this->attempts->swaps()) : [];
        array_push($rest, ...$looks);
        usort($rest, StepOrder::better(...));
        $pay = array_values(array_filter($rest, static fn (Step $step): bool => $step->pays));
        $mends = $this->attempts->mends();
        // quick looks that go in one sweep are one card
        $pay = array_values(array_filter(
            $pay,
            static fn (Step $s): bool => $sweep === null || ! in_array(
                $s->code,
                array_map(static fn (Step $l): string => $l->code, $sweep->looks),
                true,
            ),
        ));
        $order = [...$dangerOpen, ...$this->confirmed($mends), ...StepOrder::around($first, $sweep, $pay)];

        $looked = array_filter($order, static fn (Step $s): bool => $s->kind !== 'mend') !== [];
        $guesses = $order === [] ? $this->beforeGuessing($looks, $mends) : [];

        return StepOrder::each([...$order, ...($looked ? [] : [...$guesses, ...$mends]), ...$rest]);
    }

    /**
     * The looks that stand first by rule: each of danger, and the one of the leader.
     *
     * @param  list<Step>  $looks
     * @return array{Step|null, list<Step>} the leader’s, danger’s
     */
    private function first(array $looks): array
    {
        $steps = array_combine(array_map(static fn (Step $s): string => $s->code, $looks), $looks);
        $danger = [];
        $leader = null;
        foreach ($this->attempts->byProbability() as $i => $p) {
            $fault = $this->attempts->fault($i);
            if ($leader === null && $this->settling->isTried($fault, $p)) {
                $leader = $this->attempts->attempt('mend', $i, $p)->settles($fault->code, Because::Leader);
            }
            $look = $this->settling->look($fault);
            $step = $look === null ? null : ($steps[$look->code] ?? $this->looks->step($look));
            if ($step === null) {
                continue;
            }
            if ($this->settling->wantsFirst($fault, $p)) {
                $danger[$step->code] ??= $step->settles($fault->code, Because::Danger);
            } elseif ($leader === null && $this->settling->wantsConfirming($fault, $p)) {
                $leader = $step->settles($fault->code, Because::Leader);
            }
        }
        $danger = array_values($danger);
        // stable: without power before with, the likelier before the less likely
        usort($danger, static fn (Step $a, Step $b): int => $a->needsPower <=> $b->needsPower);

        return [$leader, $danger];
    }

    /**
     * Before a mend that is a guess: its own settling look, and a glance that settles something else, though neither would
     * change the order of the mends.
     *
     * @param  list<Step>  $looks  best first
     * @param  list<Step>  $mends
     * @return list<Step>
     */
    private function beforeGuessing(array $looks, array $mends): array
    {
        $first = $mends[0] ?? null;
        $fault = $first === null ? null : $this->knowledge->faults[$first->code];
        if ($fault === null || $this->settling->hasSpoken($fault, $this->attempts->probability($fault->code))) {
            return [];
        }
        $look = $this->settling->look($fault);
        $own = $look === null ? null : $this->looks->step($look)?->settles($fault->code, Because::Leader);
        // where it may well be none of the suspects, the look has to be cheaper than what it keeps from being done for nothing
        $vain = $this->none * $this->loss->mend[(int) array_search($fault->code, $this->beliefs->network->faults, true)];
        $own = $own !== null && $own->minutes * $this->case->benchMinute < $vain ? $own : null;
        $glances = ! $this->settling->isBigGuess($fault, $this->attempts->probability($fault->code)) ? [] : array_filter(
            $looks,
            fn (Step $s): bool => $s->minutes <= self::GLANCE && $s->savesPerMinute > self::GLANCE_SAVES * $this->case->benchMinute,
        );

        if ($this->none > $this->attempts->probability($fault->code) && $this->attempts->probability($fault->code) < self::LONG_SHOT) {
            // rather none of them than this one: whatever can still show one is looked at before a second person is asked
            $glances += array_filter($looks, fn (Step $s): bool => $s->savesPerMinute > self::STILL_SHOWS * $this->case->benchMinute);
        }

        return [...array_values($glances), ...($own === null ? [] : [$own])];
    }

    /**
     * What was confirmed, or is as good as sure, is mended before anything else is looked at: it has to be, whatever else
     * there is.
     *
     * @param  list<Step>  $mends
     * @return list<Step>
     */
    private function confirmed(array $mends): array
    {
        return array_values(array_filter(
            $mends,
            fn (Step $mend): bool => $this->settling->isConfirmed(
                $this->knowledge->faults[$mend->code],
                $this->attempts->probability($mend->code),
            ),
        ));
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
}
