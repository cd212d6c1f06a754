<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * What an owner does not tell. Of findings that owners usually tell when they are there, silence is weak evidence that they are
 * not: P(untold | present) = 1 − told, P(untold | absent) = 1 (virtual evidence, Pearl 1988, 2.2.2).
 *
 * At linear cost: each cause that shows a finding with strength s is told of with probability told·s, so silence multiplies its
 * odds by 1 − told·s; and of a finding nobody spoke of, what is left is shown with s(1 − told)/(1 − told·s). This is exact for
 * one cause of a finding and close for several. Once somebody looked, the look counts and the silence does not.
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
                $weight *= 1 - $share * $shows[$finding];
                $shows[$finding] = self::left($shows[$finding], $share);
            }
            $prior = $network->priors[$fault];
            $priors[] = $prior * $weight / (1 - $prior + $prior * $weight);
            $children[] = $shows;
        }

        return Network::of($network->faults, $priors, $network->findings, array_values($leaks), $children, $network->starts);
    }

    private static function left(float $strength, float $told): float
    {
        return $strength * (1 - $told) / (1 - $told * $strength);
    }
}
