<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;

/**
 * What to do next. Danger is settled first; then the likeliest cause is confirmed before a big mend, after quick looks
 * that are worth more for their minutes; then what pays by what it saves per minute; when nothing pays, mends in order of
 * probability over cost. A look pays when it lowers the expected cost of mending in vain by more than it costs (Heckerman,
 * Breese and Rommelse 1995, Decision-theoretic troubleshooting); the first two rules are common practice.
 */
final readonly class NextSteps
{
    private const MOST = 8;

    /** A mend is offered from this probability on. */
    private const WORTH_MENDING = 0.05;

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

    /** @var array<string, Check> */
    private array $possible;

    /** @param  array<int, list<int>>  $inQuestion  the faults in question, with the present findings each is linked to */
    public function __construct(
        private Knowledge $knowledge,
        private CaseFile $case,
        private Beliefs $beliefs,
        private array $inQuestion,
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
        usort($looks, self::better(...));
        $looks = $this->judged($looks);
        [$first, $dangerOpen] = $this->first($looks);
        $sweep = (new Sweep($this->knowledge))->best(array_values(array_filter(
            $looks,
            static fn (Step $s): bool => ! in_array($s->code, array_map(static fn (Step $f): string => $f->code, $dangerOpen), true),
        )));
        $rest = $this->swaps ? $this->judged($this->swaps()) : [];
        array_push($rest, ...$looks);
        usort($rest, self::better(...));
        $pay = array_values(array_filter($rest, static fn (Step $step): bool => $step->pays));
        $mends = $this->mends();
        // quick looks that go in one sweep are one card
        $pay = array_values(array_filter(
            $pay,
            static fn (Step $s): bool => $sweep === null || ! in_array(
                $s->code,
                array_map(static fn (Step $l): string => $l->code, $sweep->looks),
                true,
            ),
        ));
        $order = [...$dangerOpen, ...$this->confirmed($mends), ...$this->around($first, $sweep, $pay)];

        $looked = array_filter($order, static fn (Step $s): bool => $s->kind !== 'mend') !== [];
        $guesses = $order === [] ? $this->beforeGuessing($looks, $mends) : [];

        return self::each([...$order, ...($looked ? [] : [...$guesses, ...$mends]), ...$rest]);
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
        foreach ($this->byProbability() as $i => $p) {
            $fault = $this->fault($i);
            if ($leader === null && $this->settling->isTried($fault, $p)) {
                $leader = $this->attempt('mend', $i, $p)->settles($fault->code, Because::Leader);
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
        if ($fault === null || $this->settling->hasSpoken($fault, $this->probability($fault->code))) {
            return [];
        }
        $look = $this->settling->look($fault);
        $own = $look === null ? null : $this->looks->step($look)?->settles($fault->code, Because::Leader);
        // where it may well be none of the suspects, the look has to be cheaper than what it keeps from being done for nothing
        $vain = $this->none * $this->loss->mend[(int) array_search($fault->code, $this->beliefs->network->faults, true)];
        $own = $own !== null && $own->minutes * $this->case->benchMinute < $vain ? $own : null;
        $glances = ! $this->settling->isBigGuess($fault, $this->probability($fault->code)) ? [] : array_filter(
            $looks,
            fn (Step $s): bool => $s->minutes <= self::GLANCE && $s->savesPerMinute > self::GLANCE_SAVES * $this->case->benchMinute,
        );

        if ($this->none > $this->probability($fault->code) && $this->probability($fault->code) < self::LONG_SHOT) {
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
            fn (Step $mend): bool => $this->settling->isConfirmed($this->knowledge->faults[$mend->code], $this->probability($mend->code)),
        ));
    }

    private function probability(string $fault): float
    {
        return $this->beliefs->now()->faults[(int) array_search($fault, $this->beliefs->network->faults, true)];
    }

    /**
     * The leader’s look, with what is worth more per minute and quick before it.
     *
     * @param  list<Step>  $pay  best first
     * @return list<Step>
     */
    private function around(?Step $leader, ?Step $sweep, array $pay): array
    {
        if ($leader === null) {
            return $this->withSweep($sweep, $pay);
        }
        $steps = $this->withSweep($sweep, $pay);
        $best = $steps[0] ?? null;
        $quick = $best !== null && ($best->kind === 'sweep' || ($best->kind === 'check' && 2 * $best->minutes <= $leader->minutes));
        $before = $quick && $best->savesPerMinute > $leader->savesPerMinute ? [$best] : [];

        return [...$before, $leader, ...$steps];
    }

    /**
     * @param  list<Step>  $pay  best first
     * @return list<Step>
     */
    private function withSweep(?Step $sweep, array $pay): array
    {
        if ($sweep === null) {
            return $pay;
        }
        $steps = [...$pay, $sweep];
        usort($steps, self::better(...));

        return $steps;
    }

    /**
     * Each step once; a look that stands in a sweep before it is not offered again.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private static function each(array $steps): array
    {
        $seen = $once = [];
        foreach ($steps as $step) {
            $key = "{$step->kind} {$step->code}";
            if (isset($seen[$key])
                || ($step->kind === 'sweep' && array_filter($step->looks, static fn (Step $l): bool => ! isset($seen["check {$l->code}"])) === [])) {
                continue;
            }
            $seen[$key] = true;
            foreach ($step->looks as $look) {
                $seen["check {$look->code}"] = true;
            }
            $once[] = $step;
        }

        return array_slice($once, 0, self::MOST);
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

    /**
     * Changing a part that is on the shelf and seeing whether that was it: a perfect answer at the cost of the mend,
     * credited when it was right: only the wasted share of it counts.
     *
     * @return list<Step>
     */
    private function swaps(): array
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
    private function attempt(string $kind, int $i, float $p): Step
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
    private function mends(): array
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

    private function fault(int $i): Fault
    {
        return $this->knowledge->faults[$this->beliefs->network->faults[$i]];
    }

    /** @return array<int, float> the faults in question, likeliest first */
    private function byProbability(): array
    {
        $faults = array_intersect_key($this->beliefs->now()->faults, $this->inQuestion);
        arsort($faults);

        return $faults;
    }
}
