<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * What an owner does not tell. Of findings that owners usually tell when they are there, silence is weak evidence that they are
 * not: P(untold | present) = 1 − told, P(untold | absent) = 1 (virtual evidence, Pearl 1988, 2.2.2).
 *
 * At linear cost: a cause that makes the finding be there with probability q (its own strength and the leak) has its odds
 * multiplied by (1 − told·q)/(1 − told·leak); and what nobody spoke of is there with q(1 − told)/(1 − told·q). This is exact for
 * one cause of a finding beside its leak, and close for several. Once somebody looked, the look counts and the silence does not.
 */
final class Untold
{
    /**
     * @param  array<string, bool>  $known  finding code => present
     */
    public static function weigh(Network $network, Knowledge $knowledge, array $known): Network
    {
        // whoever has told nothing at all has not been asked yet
        if (! in_array(true, $known, true)) {
            return $network;
        }
        $told = [];
        foreach ($network->findings as $i => $code) {
            $share = $knowledge->findings[$code]->told;
            if ($share > 0 && ! isset($known[$code])) {
                $told[$i] = $share;
            }
        }
        $leaks = $network->leaks;
        foreach ($told as $finding => $share) {
            $leaks[$finding] = self::left($leaks[$finding], $share);
        }
        $priors = $children = [];
        foreach ($network->children as $fault => $shows) {
            $weight = 1.0;
            foreach (array_intersect_key($told, $shows) as $finding => $share) {
                $leak = $network->leaks[$finding];
                $there = 1 - (1 - $shows[$finding]) * (1 - $leak);
                $weight *= (1 - $share * $there) / (1 - $share * $leak);
                $shows[$finding] = 1 - (1 - self::left($there, $share)) / (1 - $leaks[$finding]);
            }
            $prior = $network->priors[$fault];
            $priors[] = $prior * $weight / (1 - $prior + $prior * $weight);
            $children[] = $shows;
        }

        return Network::of($network->faults, $priors, $network->findings, array_values($leaks), $children, $network->starts);
    }

    /** What is left of a probability of being there when nobody spoke of it. */
    private static function left(float $strength, float $told): float
    {
        return $strength * (1 - $told) / (1 - $told * $strength);
    }
}
