<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * What may be wrong all together: every set of up to three faults in question with the exact probability that it is these and no
 * others of them, the faults that are in question for nobody summed over.
 *
 * A set S of them, with the findings, has probability ∏ p·w (those in S) · ∏ (1 − p) (those in question and not in S) · P(present
 * findings | S), where w is what absent findings leave of a fault. Findings that have parents outside are told by inclusion and
 * exclusion over those few (they are circumstances, of which nobody notes a dozen).
 */
final readonly class FaultSets
{
    /** Fewer than that of a thousand machines have it; it is left to what is not told one by one. */
    private const LEAST = 0.001;

    /** So many of the likeliest are combined. */
    private const MOST = 24;

    /**
     * @param  list<FaultSet>  $sets  likeliest first
     * @param  float  $rest  probability that it is something else: none of those in question, more of them at once, or rare ones
     */
    private function __construct(public array $sets, public float $rest)
    {
    }

    /** @param  array<int, mixed>  $inQuestion  keyed by fault */
    public static function of(Beliefs $beliefs, array $inQuestion): self
    {
        $now = $beliefs->now();
        $likely = array_filter(array_intersect_key($now->faults, $inQuestion), static fn (float $p): bool => $p >= self::LEAST);
        arsort($likely);
        $likely = array_slice(array_keys($likely), 0, self::MOST);
        $weights = $beliefs->network->absentWeights($beliefs->absent);
        $start = self::withoutAny($beliefs, $inQuestion, $weights) - $now->logEvidence;
        $shared = self::outside($beliefs, $inQuestion, $weights);
        $sets = [];
        $rest = 1.0;
        foreach (self::combined($likely) as $set) {
            $log = $start;
            foreach ($set as $fault) {
                $prior = $beliefs->network->priors[$fault];
                $log += log($prior * $weights[$fault] / (1 - $prior));
            }
            $probability = exp($log) * self::shown($beliefs, $set, $shared);
            if ($probability >= self::LEAST / 10) {
                $sets[] = new FaultSet(array_map(static fn (int $f): string => $beliefs->network->faults[$f], $set), $probability);
                $rest -= $probability;
            }
        }
        usort($sets, static fn (FaultSet $a, FaultSet $b): int => [$b->probability, $a->faults] <=> [$a->probability, $b->faults]);

        return new self($sets, max(0.0, $rest));
    }

    /**
     * Those that hold all of these faults, which somebody has confirmed; likeliest first, adding up to one without a rest.
     *
     * @param  non-empty-list<string>  $confirmed  codes
     * @return non-empty-list<FaultSet>
     */
    public function with(array $confirmed): array
    {
        $holding = array_values(array_filter($this->sets, static fn (FaultSet $s): bool => array_diff($confirmed, $s->faults) === []));
        $all = array_sum(array_map(static fn (FaultSet $s): float => $s->probability, $holding));

        return $holding === [] || $all <= 0.0
            ? [new FaultSet($confirmed, 1.0)]
            : array_map(static fn (FaultSet $s): FaultSet => new FaultSet($s->faults, $s->probability / $all), $holding);
    }

    /**
     * @param  list<int>  $faults
     * @return iterable<non-empty-list<int>>
     */
    private static function combined(array $faults): iterable
    {
        $many = count($faults);
        for ($a = 0; $a < $many; $a++) {
            yield [$faults[$a]];
            for ($b = $a + 1; $b < $many; $b++) {
                yield [$faults[$a], $faults[$b]];
                for ($c = $b + 1; $c < $many; $c++) {
                    yield [$faults[$a], $faults[$b], $faults[$c]];
                }
            }
        }
    }

    /**
     * Log of: none of those in question is there, the absent findings are absent.
     *
     * @param  array<int, mixed>  $inQuestion
     * @param  list<float>  $weights
     */
    private static function withoutAny(Beliefs $beliefs, array $inQuestion, array $weights): float
    {
        $log = 0.0;
        foreach (array_keys($beliefs->absent) as $finding) {
            $log += log(1 - $beliefs->network->leaks[$finding]);
        }
        foreach ($beliefs->network->priors as $fault => $prior) {
            $log += log(isset($inQuestion[$fault]) ? 1 - $prior : 1 - $prior + $prior * $weights[$fault]);
        }

        return $log;
    }

    /**
     * Present findings that faults outside can show too: each combination of them with the probability that no fault outside shows
     * any of it, given that the absent ones are absent.
     *
     * @param  array<int, mixed>  $inQuestion
     * @param  list<float>  $weights
     * @return array{list<int>, list<float>} the findings; by combination, as bits
     */
    private static function outside(Beliefs $beliefs, array $inQuestion, array $weights): array
    {
        $shared = array_values(array_filter(
            $beliefs->present,
            static fn (int $f): bool => array_diff($beliefs->network->parents[$f], array_keys($inQuestion)) !== [],
        ));
        $silent = [];
        for ($bits = 0, $all = 1 << count($shared); $bits < $all; $bits++) {
            $probability = 1.0;
            foreach ($beliefs->network->priors as $fault => $prior) {
                if (isset($inQuestion[$fault])) {
                    continue;
                }
                $miss = 1.0;
                foreach ($shared as $i => $finding) {
                    $miss *= $bits >> $i & 1 ? 1 - ($beliefs->network->children[$fault][$finding] ?? 0.0) : 1.0;
                }
                if ($miss < 1.0) {
                    $there = $prior * $weights[$fault];
                    $probability *= (1 - $prior + $there * $miss) / (1 - $prior + $there);
                }
            }
            $silent[] = $probability;
        }

        return [$shared, $silent];
    }

    /**
     * P(all present findings are there | exactly this set of those in question).
     *
     * @param  list<int>  $set
     * @param  array{list<int>, list<float>}  $shared
     */
    private static function shown(Beliefs $beliefs, array $set, array $shared): float
    {
        [$outside, $silent] = $shared;
        $probability = 1.0;
        $misses = [];
        foreach ($beliefs->present as $finding) {
            $miss = 1 - $beliefs->network->leaks[$finding];
            foreach ($set as $fault) {
                $miss *= 1 - ($beliefs->network->children[$fault][$finding] ?? 0.0);
            }
            $at = array_search($finding, $outside, true);
            if ($at === false) {
                $probability *= 1 - $miss;
            } else {
                $misses[$at] = $miss;
            }
        }
        $both = 0.0;
        foreach ($silent as $bits => $none) {
            foreach ($misses as $i => $miss) {
                $none *= $bits >> $i & 1 ? -$miss : 1.0;
            }
            $both += $none;
        }

        return $probability * max(0.0, $both);
    }
}
