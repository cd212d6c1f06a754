<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use InvalidArgumentException;
use OddBench\Math\Beta;

/**
 * Quantiles of Student’s t (1908): the incomplete beta function, undone by halving.
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
        return 0.5 * Beta::below($degrees / ($degrees + $t * $t), $degrees / 2, 0.5);
    }
}
