<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Input\InputError;

/**
 * The exact posterior of a noisy-OR network without a single subtraction.
 *
 * It keeps v[S], the probability that exactly the set S of present findings has been caused so far: starts with the
 * leaks, folds in one fault at a time, opens a finding’s dimension at its first parent and closes it after its last
 * (variable elimination over causal independence: Heckerman and Breese 1996; Zhang and Poole 1996). Absent findings go
 * into the priors in linear time (Heckerman 1989). One backward pass gives every marginal. The order of folding is the
 * greedy least-width one over the findings.
 */
final readonly class Elimination
{
    private function __construct(private Network $network, private FoldingOrder $order)
    {
    }

    /**
     * @param  list<int>  $present  indices of findings, without doubles
     *
     * @throws InputError when the findings hang together too widely
     */
    public static function for(Network $network, array $present): self
    {
        return new self($network, FoldingOrder::of($network, $present));
    }

    /** @param  array<int, mixed>  $absent keyed by the indices of the absent findings */
    public function posterior(array $absent): Posterior
    {
        $weights = $this->network->absentWeights($absent);
        $log = $this->order->logOrphans;
        foreach (array_keys($absent) as $finding) {
            $log += log(1 - $this->network->leaks[$finding]);
        }
        $marginals = [];
        foreach ($this->network->priors as $fault => $prior) {
            if (! isset($this->order->linked[$fault])) {
                $there = $prior * $weights[$fault];
                $all = 1 - $prior + $there;
                $marginals[$fault] = $there / $all;
                $log += log($all);
            } else {
                $marginals[$fault] = 0.0;
            }
        }
        [$before, $scales, $last, $logScale] = $this->forward($weights);
        $this->backward($weights, $before, $scales, $last, $marginals);

        return new Posterior($log + $logScale + log($last), array_values($marginals));
    }

    /**
     * @param  list<float>  $weights
     * @return array{array<int, list<float>>, array<int, float>, float, float} v before each fold, scale of each close, last value,
     *   log of all scales
     */
    private function forward(array $weights): array
    {
        $v = [1.0];
        $before = $scales = [];
        $logScale = 0.0;
        foreach ($this->order->steps as $step => [$kind, $which, $bits]) {
            if ($kind === FoldingOrder::OPEN) {
                $leak = $this->network->leaks[$which];
                $stay = 1 - $leak;
                $size = count($v);
                for ($s = 0; $s < $size; $s++) {
                    $v[$size + $s] = $v[$s] * $leak;
                }
                for ($s = 0; $s < $size; $s++) {
                    $v[$s] *= $stay;
                }
            } elseif ($kind === FoldingOrder::FOLD) {
                $before[$step] = $v;
                $there = $this->network->priors[$which] * $weights[$which];
                $not = 1 - $this->network->priors[$which];
                $caused = $this->cause($v, $bits);
                foreach ($v as $s => $mass) {
                    $v[$s] = $not * $mass + $there * $caused[$s];
                }
            } else {
                $v = $this->keepCaused($v, $which);
                $scale = array_sum($v);
                $scales[$step] = $scale;
                $logScale += log($scale);
                foreach ($v as $s => $mass) {
                    $v[$s] = $mass / $scale;
                }
            }
        }

        return [$before, $scales, $v[0], $logScale];
    }

    /**
     * @param  list<float>  $weights
     * @param  array<int, list<float>>  $before
     * @param  array<int, float>  $scales
     * @param  array<int, float>  $marginals  filled in for the linked faults
     */
    private function backward(array $weights, array $before, array $scales, float $last, array &$marginals): void
    {
        $b = [1.0];
        for ($step = count($this->order->steps) - 1; $step >= 0; $step--) {
            [$kind, $which, $bits] = $this->order->steps[$step];
            if ($kind === FoldingOrder::CLOSE) {
                $b = $this->spread($b, $which, $scales[$step]);
            } elseif ($kind === FoldingOrder::FOLD) {
                $there = $this->network->priors[$which] * $weights[$which];
                $not = 1 - $this->network->priors[$which];
                $back = $this->causeBackward($b, $bits);
                $joint = 0.0;
                foreach ($before[$step] as $s => $mass) {
                    $joint += $mass * $back[$s];
                }
                $marginals[$which] = min(1.0, $there * $joint / $last);
                foreach ($b as $s => $mass) {
                    $b[$s] = $not * $mass + $there * $back[$s];
                }
            } else {
                $leak = $this->network->leaks[$which];
                $half = intdiv(count($b), 2);
                $smaller = [];
                for ($s = 0; $s < $half; $s++) {
                    $smaller[] = (1 - $leak) * $b[$s] + $leak * $b[$half + $s];
                }
                $b = $smaller;
            }
        }
    }

    /**
     * A fault that is there causes each of its findings with its strength.
     *
     * @param  array<int, float>  $v
     * @param  array<int, float>  $bits
     * @return array<int, float>
     */
    private function cause(array $v, array $bits): array
    {
        $size = count($v);
        foreach ($bits as $bit => $strength) {
            $miss = 1 - $strength;
            for ($base = 0; $base < $size; $base += 2 * $bit) {
                for ($s = $base, $end = $base + $bit; $s < $end; $s++) {
                    $v[$s + $bit] += $v[$s] * $strength;
                    $v[$s] *= $miss;
                }
            }
        }

        return $v;
    }

    /**
     * @param  array<int, float>  $b
     * @param  array<int, float>  $bits
     * @return array<int, float>
     */
    private function causeBackward(array $b, array $bits): array
    {
        $size = count($b);
        foreach ($bits as $bit => $strength) {
            $miss = 1 - $strength;
            for ($base = 0; $base < $size; $base += 2 * $bit) {
                for ($s = $base, $end = $base + $bit; $s < $end; $s++) {
                    $b[$s] = $miss * $b[$s] + $strength * $b[$s + $bit];
                }
            }
        }

        return $b;
    }

    /**
     * @param  list<float>  $v
     * @return non-empty-list<float> only the sets in which the finding has been caused, its dimension gone
     */
    private function keepCaused(array $v, int $bit): array
    {
        $kept = [];
        $size = count($v);
        for ($base = $bit; $base < $size; $base += 2 * $bit) {
            for ($s = $base, $end = $base + $bit; $s < $end; $s++) {
                $kept[] = $v[$s];
            }
        }

        return $kept === [] ? [0.0] : $kept;
    }

    /**
     * @param  list<float>  $b
     * @return list<float>
     */
    private function spread(array $b, int $bit, float $scale): array
    {
        $wide = [];
        $size = count($b);
        for ($base = 0; $base < $size; $base += $bit) {
            for ($s = 0; $s < $bit; $s++) {
                $wide[] = 0.0;
            }
            for ($s = $base, $end = $base + $bit; $s < $end; $s++) {
                $wide[] = $b[$s] / $scale;
            }
        }

        return $wide;
    }
}
