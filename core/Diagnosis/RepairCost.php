<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * What it costs to mend in the best order until the trouble is gone: faults in order of probability over cost, each
 * mended in vain with the probability that it was a later one. A look pays when it lowers this by more than it costs
 * (Heckerman, Breese and Rommelse 1995, Decision-theoretic troubleshooting, with one observation looked ahead).
 *
 * The probabilities of the faults in question are those of one trouble that has one of them behind it, or none; only where
 * they add up to more than one are they taken as shares of it. Up to there the cost is a least of sums, each linear in the
 * beliefs, so that on average no look can raise it.
 */
final readonly class RepairCost
{
    /**
     * @param  list<int>  $faults  those in question
     * @param  list<float>  $mend  cost of mending, by fault
     */
    public function __construct(private array $faults, private array $mend)
    {
    }

    /**
     * Expected cost of the mends that turn out to be none.
     *
     * @param  array<int, float>  $beliefs  by fault
     */
    public function inVain(array $beliefs): float
    {
        $worth = [];
        $all = 0.0;
        foreach ($this->faults as $fault) {
            $worth[$fault] = $beliefs[$fault] / $this->mend[$fault];
            $all += $beliefs[$fault];
        }
        if ($all <= 0.0) {
            return 0.0;
        }
        arsort($worth);
        $scale = max(1.0, $all);
        $left = $all / $scale;
        $cost = 0.0;
        foreach (array_keys($worth) as $fault) {
            $left -= $beliefs[$fault] / $scale;
            $cost += max(0.0, $left) * $this->mend[$fault];
        }

        return $cost;
    }
}
