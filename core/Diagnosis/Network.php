<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/**
 * Two layers: faults that are there or not, independently; findings that each fault may show.
 *
 * A finding is absent with probability (1 − leak) · ∏ (1 − strength) over the faults that are there
 * (noisy-OR: Pearl 1988, Probabilistic Reasoning in Intelligent Systems, 4.3). Everything is held by index for speed.
 */
final readonly class Network
{
    /**
     * @param  list<string>  $faults  codes
     * @param  list<float>  $priors  0 < p < 1, by fault
     * @param  list<string>  $findings  codes
     * @param  list<float>  $leaks  by finding
     * @param  list<array<int, float>>  $children  by fault: finding => strength
     * @param  list<list<int>>  $parents  by finding: faults
     * @param  list<float>  $starts  priors before anything was weighed, by fault
     */
    private function __construct(
        public array $faults,
        public array $priors,
        public array $findings,
        public array $leaks,
        public array $children,
        public array $parents,
        public array $starts,
    ) {
    }

    /**
     * @param  list<string>  $faults
     * @param  list<float>  $priors
     * @param  list<string>  $findings
     * @param  list<float>  $leaks
     * @param  list<array<int, float>>  $children  by fault: finding index => strength
     * @param  list<float>|null  $starts  priors before anything was weighed, where that differs
     */
    public static function of(array $faults, array $priors, array $findings, array $leaks, array $children, ?array $starts = null): self
    {
        $parents = array_fill(0, count($findings), []);
        foreach ($children as $fault => $shows) {
            foreach (array_keys($shows) as $finding) {
                $parents[$finding][] = $fault;
            }
        }

        return new self($faults, $priors, $findings, $leaks, $children, $parents, $starts ?? $priors);
    }

    /**
     * The network of one machine: the faults its traits allow, at the rates of this shop.
     *
     * @param  list<string>  $ruledOut  faults it has not got, whatever else is found
     */
    public static function forMachine(Knowledge $knowledge, Traits $traits, Rates $rates, array $ruledOut = []): self
    {
        $findings = array_keys($knowledge->findings);
        $index = array_flip($findings);
        $leaks = array_map(static fn (string $code): float => $knowledge->findings[$code]->leak, $findings);
        $faults = $priors = $children = [];
        foreach ($knowledge->faults as $fault) {
            if (! $traits->allow($fault->needs) || in_array($fault->code, $ruledOut, true)) {
                continue;
            }
            $shows = [];
            foreach ($fault->shows as $finding => $strength) {
                $shows[$index[$finding]] = $strength;
            }
            $faults[] = $fault->code;
            $priors[] = $rates->prior($fault);
            $children[] = $shows;
        }

        return self::of($faults, $priors, $findings, $leaks, $children);
    }

    /**
     * What absent findings leave of each fault.
     *
     * @param  array<int, mixed>  $absent  keyed by the indices of the absent findings
     * @return list<float> by fault: P(the absent findings stay absent | the fault), leaks apart
     */
    public function absentWeights(array $absent): array
    {
        $weights = array_fill(0, count($this->faults), 1.0);
        foreach (array_keys($absent) as $finding) {
            foreach ($this->parents[$finding] as $fault) {
                $weights[$fault] *= 1 - $this->children[$fault][$finding];
            }
        }

        return array_values($weights);
    }
}
