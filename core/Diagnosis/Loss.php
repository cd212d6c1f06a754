<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * What a belief costs: for each fault the smaller of mending it though it may be sound, and of leaving it though it
 * may come back. L = Σ min((1 − p)·m, p·k). Concave in the belief, so knowing more never costs.
 */
final readonly class Loss
{
    /**
     * @param  list<float>  $mend  by fault
     * @param  list<float>  $comeback  by fault
     */
    private function __construct(public array $mend, public array $comeback)
    {
    }

    /** What being wrong about each fault costs, in the shop’s currency. */
    public static function of(Network $network, Knowledge $knowledge, CaseFile $case, MendCost $mends): self
    {
        $mend = $comeback = [];
        foreach ($network->faults as $code) {
            $cost = $mends->of($knowledge->faults[$code]);
            $mend[] = $cost;
            $comeback[] = $knowledge->bench->comeback * $case->benchMinute + $cost;
        }

        return new self($mend, $comeback);
    }

    /**
     * @param  array<int, mixed>  $faults  keyed by the faults that count
     * @param  array<int, float>  $beliefs  by fault
     */
    public function over(array $faults, array $beliefs): float
    {
        $loss = 0.0;
        foreach (array_keys($faults) as $fault) {
            $p = $beliefs[$fault];
            $loss += min((1 - $p) * $this->mend[$fault], $p * $this->comeback[$fault]);
        }

        return $loss;
    }
}
