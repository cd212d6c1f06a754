<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;

/**
 * The answers a check can give and their probabilities. Only passes with findings absent are made; what is believed
 * when one is present follows from P(i, f present) = P(i) − P(i, f absent), safe because a leak keeps P(f present) large.
 */
final readonly class CheckOutcomes
{
    /** Findings of one check whose answers are told apart: with none and several that makes eight answers at the most. */
    private const MOST_FINDINGS = 6;

    /** An answer rarer than this is no answer. */
    private const LEAST = 1e-9;

    /** @param  array<string, int>  $index finding code => index */
    public function __construct(private Beliefs $beliefs, private array $index)
    {
    }

    /** @return list<Outcome> empty when everything it yields is known already */
    public function of(Check $check): array
    {
        $open = [];
        foreach ($check->yields as $code) {
            $finding = $this->index[$code];
            if (! isset($this->beliefs->absent[$finding]) && ! in_array($finding, $this->beliefs->present, true)) {
                $open[$code] = $finding;
            }
        }
        if (count($open) > self::MOST_FINDINGS) {
            $open = $this->likeliest($open);
        }

        return match (count($open)) {
            0 => [],
            1 => $this->yesOrNo((string) array_key_first($open), reset($open)),
            default => $this->oneOfSeveral($open),
        };
    }

    /** @return list<Outcome> */
    private function yesOrNo(string $code, int $finding): array
    {
        $now = $this->beliefs->now();
        $not = $this->beliefs->ifAbsent([$finding]);
        $absent = $this->share($not);
        $present = 1 - $absent;

        return [
            new Outcome('present', [$code => true], $present, $this->rest($now->faults, [[$absent, $not->faults]], $present)),
            new Outcome('absent', [$code => false], $absent, $not->faults),
        ];
    }

    /**
     * @param  non-empty-array<string, int>  $open
     * @return list<Outcome>
     */
    private function oneOfSeveral(array $open): array
    {
        $now = $this->beliefs->now();
        $none = $this->beliefs->ifAbsent(array_values($open));
        $noneShare = $this->share($none);
        $outcomes = [];
        $parts = [[$noneShare, $none->faults]];
        $left = 1 - $noneShare;
        $allAbsent = array_map(static fn (): bool => false, $open);
        foreach ($open as $code => $finding) {
            $others = $this->beliefs->ifAbsent(array_values(array_diff($open, [$finding])));
            $othersShare = $this->share($others);
            $only = max(0.0, $othersShare - $noneShare);
            if ($only < self::LEAST) {
                continue;
            }
            $beliefs = [];
            foreach ($others->faults as $fault => $p) {
                $beliefs[$fault] = $this->clamp(($p * $othersShare - $none->faults[$fault] * $noneShare) / $only);
            }
            $outcomes[] = new Outcome($code, [$code => true] + $allAbsent, $only, $beliefs);
            $parts[] = [$only, $beliefs];
            $left -= $only;
        }
        if ($left > self::LEAST) {
            $outcomes[] = new Outcome('several', [], $left, $this->rest($now->faults, $parts, $left));
        }
        $outcomes[] = new Outcome('none', $allAbsent, $noneShare, $none->faults);

        return $outcomes;
    }

    /** P(these more findings absent | what is known). */
    private function share(Posterior $with): float
    {
        return min(1.0, exp($with->logEvidence - $this->beliefs->now()->logEvidence));
    }

    /**
     * What is left of a belief when the named parts of it are taken away.
     *
     * @param  list<float>  $all
     * @param  list<array{float, array<int, float>}>  $parts
     * @return list<float>
     */
    private function rest(array $all, array $parts, float $share): array
    {
        $rest = [];
        foreach ($all as $fault => $p) {
            foreach ($parts as [$weight, $beliefs]) {
                $p -= $weight * $beliefs[$fault];
            }
            $rest[] = $share > self::LEAST ? $this->clamp($p / $share) : $all[$fault];
        }

        return $rest;
    }

    private function clamp(float $p): float
    {
        return max(0.0, min(1.0, $p));
    }

    /**
     * @param  array<string, int>  $open
     * @return array<string, int>
     */
    private function likeliest(array $open): array
    {
        $now = $this->beliefs->now();
        $chance = [];
        foreach ($open as $code => $finding) {
            $miss = 1.0;
            foreach ($this->beliefs->network->parents[$finding] as $fault) {
                $miss *= 1 - $now->faults[$fault] * $this->beliefs->network->children[$fault][$finding];
            }
            $chance[$code] = 1 - $miss;
        }
        arsort($chance);

        return array_intersect_key($open, array_slice($chance, 0, self::MOST_FINDINGS, true));
    }
}
