<?php

declare(strict_types=1);

namespace OddBench\Math;

/** The regularised incomplete beta function by its continued fraction (DLMF 8.17.22, evaluated after Lentz 1976). */
final class Beta
{
    private const MOST_STEPS = 2_000;

    /**
     * I_x(a, b), 0 to 1.
     *
     * @param  float  $x  0 to 1
     * @param  float  $a  above 0
     * @param  float  $b  above 0
     */
    public static function below(float $x, float $a, float $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        // the fraction converges quickly on this side only
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::below(1 - $x, $b, $a);
        }
        $front = exp(Gamma::log($a + $b) - Gamma::log($a) - Gamma::log($b) + $a * log($x) + $b * log(1 - $x)) / $a;
        $f = $c = 1.0;
        $d = 0.0;
        for ($i = 0; $i <= self::MOST_STEPS; $i++) {
            $d = 1 / self::awayFromZero(1 + self::term($i, $x, $a, $b) * $d);
            $c = self::awayFromZero(1 + self::term($i, $x, $a, $b) / $c);
            $f *= $c * $d;
            if (abs(1 - $c * $d) < 1e-15) {
                break;
            }
        }

        return $front * ($f - 1);
    }

    private static function term(int $i, float $x, float $a, float $b): float
    {
        $m = intdiv($i, 2);

        return match (true) {
            $i === 0 => 1.0,
            $i % 2 === 0 => $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)),
            default => -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1)),
        };
    }

    private static function awayFromZero(float $value): float
    {
        return abs($value) < 1e-300 ? 1e-300 : $value;
    }
}
