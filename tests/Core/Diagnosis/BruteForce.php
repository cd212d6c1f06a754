<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Brick\Math\BigRational;
use OddBench\Diagnosis\Network;

/** The slow obvious way: every set of faults, one after the other, straight from the definition of noisy-OR. */
final class BruteForce
{
    /**
     * @param  array<string, bool>  $findings
     * @return array{float, list<float>} P(findings), P(fault | findings)
     */
    public static function posterior(Network $network, array $findings): array
    {
        $total = 0.0;
        $with = array_fill(0, count($network->faults), 0.0);
        for ($set = 0, $sets = 1 << count($network->faults); $set < $sets; $set++) {
            $p = self::joint($network, $findings, $set);
            $total += $p;
            foreach ($with as $fault => $_) {
                if ($set >> $fault & 1) {
                    $with[$fault] += $p;
                }
            }
        }

        return [$total, array_map(static fn (float $p): float => $p / $total, $with)];
    }

    /**
     * The same in exact rationals.
     *
     * @param  array<string, bool>  $findings
     * @return array{BigRational, list<BigRational>}
     */
    public static function exact(Network $network, array $findings): array
    {
        $total = BigRational::zero();
        $with = array_fill(0, count($network->faults), BigRational::zero());
        for ($set = 0, $sets = 1 << count($network->faults); $set < $sets; $set++) {
            $p = self::exactJoint($network, $findings, $set);
            $total = $total->plus($p)->simplified();
            foreach ($with as $fault => $sum) {
                if ($set >> $fault & 1) {
                    $with[$fault] = $sum->plus($p)->simplified();
                }
            }
        }

        return [$total, array_map(static fn (BigRational $p): BigRational => $p->dividedBy($total)->simplified(), $with)];
    }

    /** @param  array<string, bool>  $findings */
    public static function joint(Network $network, array $findings, int $set): float
    {
        $p = 1.0;
        foreach ($network->priors as $fault => $prior) {
            $p *= $set >> $fault & 1 ? $prior : 1 - $prior;
        }
        foreach ($findings as $code => $present) {
            $finding = (int) array_search($code, $network->findings, true);
            $absent = 1 - $network->leaks[$finding];
            foreach ($network->children as $fault => $shows) {
                if ($set >> $fault & 1) {
                    $absent *= 1 - ($shows[$finding] ?? 0.0);
                }
            }
            $p *= $present ? 1 - $absent : $absent;
        }

        return $p;
    }

    /** @param  array<string, bool>  $findings */
    private static function exactJoint(Network $network, array $findings, int $set): BigRational
    {
        $one = BigRational::one();
        $p = $one;
        foreach ($network->priors as $fault => $prior) {
            $prior = BigRational::of((string) $prior);
            $p = $p->multipliedBy($set >> $fault & 1 ? $prior : $one->minus($prior));
        }
        foreach ($findings as $code => $present) {
            $finding = (int) array_search($code, $network->findings, true);
            $absent = $one->minus(BigRational::of((string) $network->leaks[$finding]));
            foreach ($network->children as $fault => $shows) {
                if (($set >> $fault & 1) && isset($shows[$finding])) {
                    $absent = $absent->multipliedBy($one->minus(BigRational::of((string) $shows[$finding])));
                }
            }
            $p = $p->multipliedBy($present ? $one->minus($absent) : $absent);
        }

        return $p->simplified();
    }
}
