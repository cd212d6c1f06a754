<?php

declare(strict_types=1);

namespace OddBench\Math;

use Closure;
use InvalidArgumentException;

/**
 * Where a function of one variable is zero, by Brent’s method (R. P. Brent, Algorithms for Minimization without Derivatives, 1973,
 * chapter 4): inverse quadratic interpolation and secants, and halving where those do not help.
 */
final class Root
{
    private const STEPS = 200;

    /**
     * @param  Closure(float): float  $of  continuous, of opposite signs at both ends
     *
     * @throws InvalidArgumentException when it has one sign at both ends
     */
    public static function between(Closure $of, float $a, float $b, float $within = 1e-13): float
    {
        [$fa, $fb] = [$of($a), $of($b)];
        if ($fa * $fb > 0.0) {
            throw new InvalidArgumentException('It has one sign at both ends.');
        }
        [$c, $fc, $d, $e] = [$a, $fa, $b - $a, $b - $a];
        for ($i = 0; $i < self::STEPS; $i++) {
            if (($fb > 0.0) === ($fc > 0.0)) {
                [$c, $fc, $d, $e] = [$a, $fa, $b - $a, $b - $a];
            }
            if (abs($fc) < abs($fb)) {
                [$a, $b, $c, $fa, $fb, $fc] = [$b, $c, $b, $fb, $fc, $fb];
            }
            $tolerance = 2 * PHP_FLOAT_EPSILON * abs($b) + 0.5 * $within;
            $half = 0.5 * ($c - $b);
            if (abs($half) <= $tolerance || $fb == 0.0) {
                return $b;
            }
            [$d, $e] = self::step($a, $b, $c, $fa, $fb, $fc, $half, $tolerance, $d, $e);
            [$a, $fa] = [$b, $fb];
            $b += abs($d) > $tolerance ? $d : ($half > 0 ? $tolerance : -$tolerance);
            $fb = $of($b);
        }

        return $b;
    }

    /** @return array{float, float} this step, the one before it */
    private static function step(
        float $a,
        float $b,
        float $c,
        float $fa,
        float $fb,
        float $fc,
        float $half,
        float $tolerance,
        float $d,
        float $e,
    ): array {
        if (abs($e) < $tolerance || abs($fa) <= abs($fb)) {
            return [$half, $half];
        }
        $s = $fb / $fa;
        if ($a === $c) {
            [$p, $q] = [2 * $half * $s, 1 - $s];
        } else {
            [$q, $r] = [$fa / $fc, $fb / $fc];
            $p = $s * (2 * $half * $q * ($q - $r) - ($b - $a) * ($r - 1));
            $q = ($q - 1) * ($r - 1) * ($s - 1);
        }
        $q = $p > 0.0 ? -$q : $q;
        $p = abs($p);

        return 2 * $p < min(3 * $half * $q - abs($tolerance * $q), abs($e * $q)) ? [$p / $q, $d] : [$half, $half];
    }
}
