<?php

declare(strict_types=1);

namespace OddBench\Math;

use InvalidArgumentException;

/**
 * The gamma function’s logarithm and the regularised incomplete gamma function with its inverse: by its series below the mean and
 * its continued fraction above it (DLMF 8.7.1 and 8.9.2, evaluated after Lentz 1976).
 */
final class Gamma
{
    private const TERMS = [
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

    private const MOST_STEPS = 5_000;

    private const HALVINGS = 200;

    /**
     * ln Γ(x) by Lanczos’ approximation (1964) with g = 7 and nine terms.
     *
     * @param  float  $x  above 0
     */
    public static function log(float $x): float
    {
        if ($x <= 0.0) {
            throw new InvalidArgumentException('ln Γ is asked for above 0.');
        }
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::log(1 - $x);
        }
        $x -= 1.0;
        $sum = self::TERMS[0];
        for ($i = 1; $i < 9; $i++) {
            $sum += self::TERMS[$i] / ($x + $i);
        }
        $t = $x + 7.5;

        return 0.5 * log(2 * M_PI) + ($x + 0.5) * log($t) - $t + log($sum);
    }

    /**
     * P(a, x): how much of Γ(a) lies below x, 0 to 1.
     *
     * @param  float  $a  above 0
     * @param  float  $x  0 and up
     */
    public static function below(float $a, float $x): float
    {
        if ($a <= 0.0 || $x < 0.0) {
            throw new InvalidArgumentException('A shape above 0 and a value from 0 on.');
        }
        if ($x == 0.0) {
            return 0.0;
        }
        $front = exp($a * log($x) - $x - self::log($a));

        return $x < $a + 1 ? min(1.0, self::series($a, $x, $front)) : max(0.0, 1 - self::fraction($a, $x, $front));
    }

    /**
     * Q(a, x) = 1 − P(a, x), to its own digits where it is small.
     *
     * @param  float  $a  above 0
     * @param  float  $x  0 and up
     */
    public static function above(float $a, float $x): float
    {
        if ($x < $a + 1) {
            return 1 - self::below($a, $x);
        }

        return self::fraction($a, $x, exp($a * log($x) - $x - self::log($a)));
    }

    /**
     * The x with P(a, x) = p, by halving.
     *
     * @param  float  $a  above 0
     * @param  float  $p  above 0 and below 1
     */
    public static function quantile(float $a, float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            throw new InvalidArgumentException('A share above 0 and below 1.');
        }
        [$low, $high] = [0.0, max(1.0, $a)];
        while (self::below($a, $high) < $p) {
            [$low, $high] = [$high, 2 * $high];
        }
        for ($i = 0; $i < self::HALVINGS && $high - $low > 1e-14 * $high; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = self::below($a, $middle) < $p ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    private static function series(float $a, float $x, float $front): float
    {
        $term = $sum = 1 / $a;
        for ($n = 1; $n < self::MOST_STEPS; $n++) {
            $term *= $x / ($a + $n);
            $sum += $term;
            if ($term < 1e-17 * $sum) {
                break;
            }
        }

        return $sum * $front;
    }

    private static function fraction(float $a, float $x, float $front): float
    {
        $b = $x + 1 - $a;
        $c = 1e300;
        $d = 1 / $b;
        $f = $d;
        for ($n = 1; $n < self::MOST_STEPS; $n++) {
            $term = -$n * ($n - $a);
            $b += 2;
            $d = $term * $d + $b;
            $d = 1 / (abs($d) < 1e-300 ? 1e-300 : $d);
            $c = $b + $term / $c;
            $c = abs($c) < 1e-300 ? 1e-300 : $c;
            $f *= $c * $d;
            if (abs($c * $d - 1) < 1e-16) {
                break;
            }
        }

        return $f * $front;
    }
}
