<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * The set of faults that explains the findings best: the highest product of prior odds and of the findings’
 * probabilities, among sets in which every present finding that is no circumstance has a linked fault.
 *
 * Branch and bound over covers (Land and Doig 1960); the bound shares each fault’s cost among the findings it covers.
 */
final class Explanation
{
    /** Sets looked at before the best one so far is taken; far beyond what the catalogue needs. */
    private const MOST_SETS = 100_000;

    private const SAME = 1e-12;

    /** @var list<int> */
    private array $best = [];

    private float $bestScore = -INF;

    private int $sets = 0;

    /**
     * @param  array<int, float>  $costs  by fault: log odds and the absent findings, never above 0
     * @param  array<int, array<int, float>>  $shown  by fault: present finding => strength
     */
    private function __construct(private readonly Network $network, private readonly array $costs, private readonly array $shown)
    {
    }

    /**
     * @param  array<int, true>  $circumstances  indices of findings that need no fault
     * @return list<int> indices of faults, in the order of their codes
     */
    public static function of(Beliefs $beliefs, array $circumstances): array
    {
        $network = $beliefs->network;
        $costs = $shown = $mustCover = [];
        foreach ($beliefs->linked() as $fault => $findings) {
            $prior = $network->priors[$fault];
            $cost = log($prior / (1 - $prior));
            foreach ($network->children[$fault] as $finding => $strength) {
                if (isset($beliefs->absent[$finding])) {
                    $cost += log(1 - $strength);
                }
            }
            $costs[$fault] = $cost;
            foreach ($findings as $finding) {
                $shown[$fault][$finding] = $network->children[$fault][$finding];
                if (! isset($circumstances[$finding])) {
                    $mustCover[$finding] = true;
                }
            }
        }
        $search = new self($network, $costs, $shown);
        $misses = [];
        foreach ($beliefs->present as $finding) {
            $misses[$finding] = 1 - $network->leaks[$finding];
        }
        $search->branch([], 0.0, $misses, $mustCover, $costs);
        $codes = $search->best;
        usort($codes, static fn (int $a, int $b): int => $network->faults[$a] <=> $network->faults[$b]);

        return $codes;
    }

    /**
     * @param  list<int>  $set
     * @param  array<int, float>  $misses  by present finding: P(absent | set)
     * @param  array<int, true>  $uncovered
     * @param  array<int, float>  $free  faults still to decide on => their cost
     */
    private function branch(array $set, float $cost, array $misses, array $uncovered, array $free): void
    {
        if (++$this->sets > self::MOST_SETS || $this->bound($cost, $misses, $uncovered, $free) < $this->bestScore - self::SAME) {
            return;
        }
        if ($uncovered === []) {
            $this->offer($set, $cost + $this->fit($misses));
            $choices = $this->improving($misses, $free);
        } else {
            $choices = $this->parentsOfHardest($uncovered, $free);
        }
        foreach ($choices as $fault) {
            unset($free[$fault]);
            $after = $misses;
            foreach ($this->shown[$fault] as $finding => $strength) {
                $after[$finding] *= 1 - $strength;
            }
            $this->branch([...$set, $fault], $cost + $this->costs[$fault], $after, array_diff_key($uncovered, $this->shown[$fault]), $free);
        }
    }

    /** @param  list<int>  $set */
    private function offer(array $set, float $score): void
    {
        $same = abs($score - $this->bestScore) <= self::SAME;
        if ($score > $this->bestScore + self::SAME || ($same && $this->simpler($set))) {
            $this->bestScore = max($score, $same ? $this->bestScore : $score);
            $this->best = $set;
        }
    }

    /** @param  list<int>  $set */
    private function simpler(array $set): bool
    {
        return count($set) !== count($this->best) ? count($set) < count($this->best) : $this->codes($set) < $this->codes($this->best);
    }

    /**
     * @param  array<int>  $faults
     * @return list<string>
     */
    private function codes(array $faults): array
    {
        $codes = array_map(fn (int $fault): string => $this->network->faults[$fault], $faults);
        sort($codes);

        return $codes;
    }

    /** @param  array<int, float>  $misses */
    private function fit(array $misses): float
    {
        $fit = 0.0;
        foreach ($misses as $miss) {
            $fit += log(1 - $miss);
        }

        return $fit;
    }

    /**
     * No set below can score higher than this.
     *
     * @param  array<int, float>  $misses
     * @param  array<int, true>  $uncovered
     * @param  array<int, float>  $free
     */
    private function bound(float $cost, array $misses, array $uncovered, array $free): float
    {
        $shares = array_fill_keys(array_keys($uncovered), -INF);
        foreach ($free as $fault => $faultCost) {
            $covers = array_intersect_key($this->shown[$fault], $uncovered);
            foreach (array_keys($covers) as $finding) {
                $shares[$finding] = max($shares[$finding], $faultCost / count($covers));
            }
            foreach ($this->shown[$fault] as $finding => $strength) {
                $misses[$finding] *= 1 - $strength;
            }
        }

        return $cost + array_sum($shares) + $this->fit($misses);
    }

    /**
     * @param  array<int, true>  $uncovered
     * @param  array<int, float>  $free
     * @return list<int> cheapest first
     */
    private function parentsOfHardest(array $uncovered, array $free): array
    {
        $fewest = null;
        foreach (array_keys($uncovered) as $finding) {
            $parents = [];
            foreach ($free as $fault => $cost) {
                if (isset($this->shown[$fault][$finding])) {
                    $parents[$fault] = $cost + log($this->shown[$fault][$finding]);
                }
            }
            if ($fewest === null || count($parents) < count($fewest)) {
                $fewest = $parents;
            }
        }
        $fewest ??= [];
        arsort($fewest);

        return array_keys($fewest);
    }

    /**
     * Faults that would still raise the score; gains only shrink as a set grows, so the others never will.
     *
     * @param  array<int, float>  $misses
     * @param  array<int, float>  $free
     * @return list<int>
     */
    private function improving(array $misses, array $free): array
    {
        $gains = [];
        foreach ($free as $fault => $cost) {
            $gain = $cost;
            foreach ($this->shown[$fault] as $finding => $strength) {
                $gain += log(1 - $misses[$finding] * (1 - $strength)) - log(1 - $misses[$finding]);
            }
            if ($gain > -self::SAME) {
                $gains[$fault] = $gain;
            }
        }
        arsort($gains);

        return array_keys($gains);
    }
}
