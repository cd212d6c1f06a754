<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;
use OddBench\Proof\ProofPlan;

/**
 * What a mend costs when it was for nothing, in the unit of the bench minute: the way into its state, its minutes, the
 * proofs it then owes, its parts, and the days the machine stands waiting for one that is not there.
 */
final readonly class MendCost
{
    /** A mend from this many minutes on is no small thing. */
    private const LONG = 15.0;

    /** Work on these means opening something. */
    private const OPENED = ['hotend', 'board', 'supply', 'feeder'];

    private ProofPlan $proofs;

    public function __construct(private Knowledge $knowledge, private CaseFile $case)
    {
        $this->proofs = new ProofPlan($knowledge);
    }

    /** What it costs to mend this fault if it is there: way, hands, parts, proof and wait, in the shop’s currency. */
    public function of(Fault $fault): float
    {
        return ($this->way($fault) + $fault->mend()->minutes + $this->proving($fault)) * $this->case->benchMinute + $this->parts($fault) + $this
            ->waiting($fault);
    }

    /**
     * What it takes to mend faults together: the way in once, each mend, each proof and each class of part once.
     *
     * @param  list<Fault>  $faults
     */
    public function together(array $faults): MendWork
    {
        if ($faults === []) {
            return new MendWork(0.0, [], 0.0);
        }
        $classes = array_values(array_unique(array_merge(...array_map(static fn (Fault $f): array => $f->mend()->parts, $faults))));
        $touched = array_merge(...array_map(static fn (Fault $f): array => $f->mend()->touches, $faults));

        return new MendWork(
            max(array_map($this->way(...), $faults))
                + array_sum(array_map(static fn (Fault $f): float => $f->mend()->minutes, $faults))
                + $this->provingAll($touched, array_map(static fn (Fault $f): string => $f->code, $faults)),
            $classes,
            $this->days($classes),
        );
    }

    /** What one of a class of part costs, in the unit of the bench minute’s cost. */
    public function part(string $class): float
    {
        return $this->case->partCosts[$class] ?? ($this->knowledge->prices[$class] ?? 0.0) * $this->case->benchMinute;
    }

    /** Minutes until a cold, closed machine can be mended. */
    private function way(Fault $fault): float
    {
        return $this->knowledge->bench->minutesToReach($this->opens($fault) ? State::Open : State::Unplugged);
    }

    /** Minutes of the proofs it owes. */
    public function proving(Fault $fault): float
    {
        return $this->provingAll($fault->mend()->touches, [$fault->code]);
    }

    /**
     * @param  list<string>  $touched
     * @param  list<string>  $mended
     */
    private function provingAll(array $touched, array $mended): float
    {
        $minutes = 0.0;
        $known = array_values(array_unique(array_intersect($touched, array_keys($this->knowledge->subsystems))));
        foreach ($this->proofs->for($this->case->traits, $known, $mended)->owed as $owed) {
            if ($owed->proof->always || $owed->proof->anyMend) {
                continue;
            }
            $minutes += $this->knowledge->bench->minutesToProve($owed->proof->stage);
        }

        return $minutes;
    }

    private function parts(Fault $fault): float
    {
        $cost = 0.0;
        foreach ($fault->mend()->parts as $class) {
            $cost += $this->part($class);
        }

        return $cost;
    }

    /** Parts are ordered together: the one that is longest on its way counts. */
    private function waiting(Fault $fault): float
    {
        $day = $this->case->waitingDay ?? $this->knowledge->bench->waitingDay * $this->case->benchMinute;

        return $this->days($fault->mend()->parts) * $day;
    }

    /** @param  list<string>  $classes  of part */
    private function days(array $classes): float
    {
        $days = 0.0;
        foreach (array_diff($classes, $this->case->onShelf) as $class) {
            $days = max($days, $this->case->waiting[$class] ?? 0.0);
        }

        return $days;
    }

    /** Whether nobody would do it on a guess: it takes a quarter of an hour, a part or an opening. */
    public function isBig(Fault $fault): bool
    {
        return $fault->mend()->minutes >= self::LONG || $this->opens($fault) || $this->wantsPart($fault);
    }

    /** What is used up anyway (a wipe, a dab of grease) is no part in this sense. */
    private function wantsPart(Fault $fault): bool
    {
        foreach ($fault->mend()->parts as $class) {
            if (! in_array($class, Knowledge::USED_UP, true)) {
                return true;
            }
        }

        return false;
    }

    private function opens(Fault $fault): bool
    {
        return array_intersect($fault->mend()->touches, self::OPENED) !== [];
    }
}
