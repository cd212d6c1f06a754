<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use InvalidArgumentException;

/**
 * Quantiles of Student’s t (1908): the incomplete beta function by its continued fraction (DLMF 8.17.22, evaluated after Lentz
 * 1976), undone by halving.
 */
final class StudentT
{
    private const HALVINGS = 200;

    /**
     * @param  float  $p  ½ to below 1
     * @param  float  $degrees  of freedom, above 0; need not be whole
     */
    public static function quantile(float $p, float $degrees): float
    {
        if ($p < 0.5 || $p >= 1 || $degrees <= 0) {
            throw new InvalidArgumentException('A share of ½ to below 1 and degrees of freedom above 0.');
        }
        [$low, $high] = [0.0, 1.0];
        while (self::upper($high, $degrees) > 1 - $p && $high < 1e12) {
            $high *= 2;
        }
        for ($i = 0; $i < self::HALVINGS && $high - $low > 1e-14 * $high; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = self::upper($middle, $degrees) > 1 - $p ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /** P(T > t) for t from 0 on. */
    public static function upper(float $t, float $degrees): float
    {
        return 0.5 * self::beta($degrees / ($degrees + $t * $t), $degrees / 2, 0.5);
    }

    /** The regularised incomplete beta function I_x(a, b). */
    private static function beta(float $x, float $a, float $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        // the fraction converges quickly on this side only
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::beta(1 - $x, $b, $a);
        }
        $front = exp(self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log(1 - $x)) / $a;
        $f = $c = 1.0;
        $d = 0.0;
        for ($i = 0; $i <= 500; $i++) {
            $m = intdiv($i, 2);
            $term = $i === 0
                ? 1.0
                : ($i % 2 === 0 ? $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)) : -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1)));
            $d = 1 / (abs(1 + $term * $d) < 1e-300 ? 1e-300 : 1 + $term * $d);
            $c = 1 + $term / $c;
            $c = abs($c) < 1e-300 ? 1e-300 : $c;
            $f *= $c * $d;
            if (abs(1 - $c * $d) < 1e-15) {
                break;
            }
        }

        return $front * ($f - 1);
    }

    /** ln Γ by Lanczos’ approximation (1964) with g = 7 and nine terms. */
    private static function logGamma(float $x): float
    {
        $terms = [
            0.99999999999980993,
            676.5203681218851,
            -1259.1392167224028,
            771.32342877765313,
            -176.61502916214059,
            12.507343278686905,
            -0.13857109526572012,
            9.9843695780195716e-6,
            1.5056327351493116e-7,
        ];
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::logGamma(1 - $x);
        }
        $sum = $terms[0];
        for ($i = 1; $i < 9; $i++) {
            $sum += $terms[$i] / ($x - 1 + $i);
        }
        $t = $x + 6.5;

        return 0.5 * log(2 * M_PI) + ($x - 0.5) * log($t) - $t + log($sum);
    }
}
