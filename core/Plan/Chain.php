<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Intake\Station;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\State;
use OddBench\Knowledge\Traits;
use OddBench\Proof\ProofPlan;

/** From how far a job is to the chain of its steps: hands, what goes by itself, who must be there, who may do it. */
final readonly class Chain
{
    /** Minutes of hands (common practice). */
    private const ANSWER = 2;

    private const TELL = 3;

    private const MEASURE_RED_TAG = 5;

    private const COUNTERSIGN = 2;

    private const PUT_BACK = 2;

    private const SEND_OUT = 5;

    /** A mend that is opened for is done by guide where there is one. */
    private const MAINS = 'mains';

    private const LEAD = 'lead';

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @return list<ChainStep> */
    public function of(JobAhead $job): array
    {
        $steps = $this->running($job);
        if ($job->station === Station::Release) {
            return self::named([...$steps, $this->sendOut()]);
        }
        $earned = $job->earned;
        if (! $job->station->comesAfter(Station::Diagnosis)) {
            $steps = [...$steps, ...$this->find($job)];
        }
        if (! $job->station->comesAfter(Station::Repair)) {
            $steps = [...$steps, ...$this->fix($job)];
        }
        if ($earned->redTag) {
            $steps = [...$steps, ...$this->redTag($job)];
            $earned = $earned->withoutRedTag();
        }

        return self::named([...$steps, ...$this->prove($job->owed ?? $this->owedBy($job), $earned), $this->sendOut()]);
    }

    /**
     * Each by a name of its own, for by its name it is moved and found again.
     *
     * @param  list<ChainStep>  $steps
     * @return list<ChainStep>
     */
    private static function named(array $steps): array
    {
        $seen = [];
        foreach ($steps as $i => $step) {
            $count = $seen[$step->what] = ($seen[$step->what] ?? 0) + 1;
            $steps[$i] = $count === 1 ? $step : $step->called("{$step->what} ({$count})");
        }

        return $steps;
    }

    /**
     * The proofs that are missing, stage by stage.
     *
     * @param  list<array{Stage, string, string}>  $owed
     * @return list<ChainStep>
     */
    private function prove(array $owed, Earned $earned): array
    {
        $steps = [];
        foreach (Stage::cases() as $stage) {
            $of = array_values(array_filter($owed, static fn (array $one): bool => $one[0] === $stage));
            if ($of === []) {
                continue;
            }
            $alone = (int) round($this->knowledge->bench->aloneToProve($stage));
            [$watch, $because] = $alone > 0 ? $earned->proving($stage) : [Watch::Nobody, ''];
            $steps[] = new ChainStep(
                'Prove: '.lcfirst(count($of) === 1 ? $of[0][1] : $stage->words()),
                Station::Proof,
                (int) ceil(count($of) * $this->knowledge->bench->minutesToProve($stage)),
                $alone,
                $watch,
                $because,
            );
            $earned = $earned->after($stage, array_column($of, 2));
        }

        return $steps;
    }

    /** @return list<ChainStep> */
    private function find(JobAhead $job): array
    {
        $steps = [];
        if (in_array($job->station, [Station::Intake, Station::Safety], true)) {
            $steps[] = new ChainStep('Safety questions', Station::Safety, self::ANSWER);
        }
        if ($job->look !== null) {
            [$name, $minutes, $qualified] = $job->look;
            $steps[] = new ChainStep($name, Station::Diagnosis, max(1, (int) ceil($minutes)), rights: $qualified ? [self::MAINS] : []);
        } elseif ($job->mend === [] && $job->guides === [] && $job->tasks === []) {
            $steps[] = new ChainStep('Say what it does', Station::Diagnosis, self::TELL);
        }
        if ($job->search >= 1.0) {
            $steps[] = new ChainStep('Go on looking', Station::Diagnosis, (int) ceil($job->search));
        }

        return $steps;
    }

    /** @return list<ChainStep> */
    private function fix(JobAhead $job): array
    {
        $steps = [];
        foreach ($job->mend as $code) {
            $fault = $this->knowledge->faults[$code];
            $rights = $fault->forQualified($job->traits) ? [self::MAINS] : [];
            $classes = array_values(array_diff($fault->mend()->parts, $job->classes));
            $guide = $this->guideFor($code, $job->traits);
            if ($guide !== null) {
                $steps = [...$steps, ...$this->guided($job, $guide, $rights, $classes[0] ?? null)];

                continue;
            }
            $way = $this->knowledge->bench->minutesToReach(State::Open);
            $steps[] = new ChainStep(
                "Mend: {$fault->name}",
                Station::Repair,
                (int) ceil($fault->mend()->minutes + $way),
                rights: $rights,
                part: $classes[0] ?? null,
            );
        }
        foreach ($job->guides as $code) {
            $steps = [...$steps, ...$this->guided($job, $this->knowledge->guides[$code])];
        }
        if ($job->unknown) {
            $minutes = UsualMend::of($this->knowledge, $job->traits)->minutes();
            $steps[] = new ChainStep('Mend what is found', Station::Repair, max(1, (int) ceil($minutes)));
        }
        foreach ($job->tasks as [$name, $minutes, $class]) {
            $part = $class === null || in_array($class, $job->classes, true) ? null : $class;
            $steps[] = new ChainStep($name, Station::Repair, max(1, (int) ceil($minutes)), part: $part);
        }
        if ($job->off > 0) {
            $steps[] = new ChainStep(
                sprintf('Put %d %s back', $job->off, $job->off === 1 ? 'piece' : 'pieces'),
                Station::Repair,
                self::PUT_BACK * $job->off,
            );
        }

        return $steps;
    }

    /**
     * @param  list<string>  $rights
     * @return list<ChainStep>
     */
    private function guided(JobAhead $job, Guide $guide, array $rights = [], ?string $part = null): array
    {
        $steps = new GuideSteps($guide, $job->earned, $job->curves[$guide->code] ?? [], $job->times[$guide->code] ?? [], $rights);

        return $steps->of($part);
    }

    /** @return list<ChainStep> */
    private function redTag(JobAhead $job): array
    {
        $countersign = new ChainStep('Countersign the red tag', Station::Repair, self::COUNTERSIGN, rights: [self::LEAD]);

        return $job->asked
            ? [$countersign]
            : [new ChainStep('Measure for the red tag and sign', Station::Repair, self::MEASURE_RED_TAG), $countersign];
    }

    private function sendOut(): ChainStep
    {
        return new ChainStep('Send out', Station::Release, self::SEND_OUT);
    }

    /** @return list<array{Stage, string, string}> */
    private function owedBy(JobAhead $job): array
    {
        $touched = array_merge(...array_map(fn (string $code): array => $this->knowledge->guides[$code]->touches, $job->guides), ...[[]]);
        $usual = $job->unknown ? UsualMend::of($this->knowledge, $job->traits)->mostFrequent() : null;
        $mend = $usual === null ? $job->mend : [...$job->mend, $usual];
        $owed = [];
        foreach ((new ProofPlan($this->knowledge))->for($job->traits, array_values(array_unique($touched)), $mend)->owed as $one) {
            $owed[] = [$one->proof->stage, $one->proof->name, $one->proof->code];
        }

        return $owed;
    }

    private function guideFor(string $fault, Traits $traits): ?Guide
    {
        foreach ($this->knowledge->guides as $guide) {
            if (in_array($fault, $guide->mends, true) && $traits->allow($guide->needs)) {
                return $guide;
            }
        }

        return null;
    }

    /**
     * What is under way: the longest of it, watched as whatever of it asks for most.
     *
     * @return list<ChainStep>
     */
    private function running(JobAhead $job): array
    {
        $longest = null;
        [$watch, $because] = [Watch::Nobody, ''];
        foreach ($job->running as $one) {
            $longest = $longest === null || $one->minutes > $longest->minutes ? $one : $longest;
            [$asks, $why] = $job->earned->waiting($one->heat, $one->oven);
            if ($watch->orMore($asks) !== $watch) {
                [$watch, $because] = [$asks, $why];
            }
        }

        return $longest === null ? [] : [new ChainStep(
            $longest->name,
            $job->station,
            0,
            $longest->minutes,
            $watch,
            $because,
            place: $longest->oven ? 'oven' : null,
            begun: true,
        )];
    }
}
