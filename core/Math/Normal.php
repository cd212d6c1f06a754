<?php

declare(strict_types=1);

namespace OddBench\Math;

/** The standard normal distribution, by the incomplete gamma function (DLMF 7.11.1). */
final class Normal
{
    /** The 97.5th percentile: 95 % lie within it on both sides. */
    public const Z95 = 1.959963984540054;

    /** P(|Z| > z) for z from 0 on. */
    public static function beyond(float $z): float
    {
        return Gamma::above(0.5, $z * $z / 2);
    }

    /** P(Z ≤ z). */
    public static function below(float $z): float
    {
        $half = self::beyond(abs($z)) / 2;

        return $z < 0.0 ? $half : 1 - $half;
    }
}
