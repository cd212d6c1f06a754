<?php

declare(strict_types=1);

namespace OddBench\Money;

/**
 * How likely a claim is met: the mean of Beta(1 + won, 1 + lost) of what this counterpart did before (Laplace’s rule of
 * succession), falling by half for each fortnight without an answer (common practice).
 */
final readonly class ClaimChance
{
    private const FORTNIGHT = 14.0;

    /**
     * @param  int  $won  claims this counterpart met, 0 or more
     * @param  int  $lost  claims it did not
     * @param  float  $silentDays  since it was last heard of
     * @return float 0 to 1
     */
    public static function of(int $won, int $lost, float $silentDays = 0.0): float
    {
        return (1 + $won) / (2 + $won + $lost) * 0.5 ** (max(0.0, $silentDays) / self::FORTNIGHT);
    }
}
