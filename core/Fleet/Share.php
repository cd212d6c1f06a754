<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** A share as it is said: in whole hundredths, and never 0 or all where it is not. */
final class Share
{
    /** @param  float  $share  0 to 1 */
    public static function words(float $share): string
    {
        return match (true) {
            $share <= 0.0 => 'none',
            $share < 0.005 => 'less than 1 %',
            $share >= 1.0 => 'all',
            $share > 0.995 => 'more than 99 %',
            default => round(100 * $share).' %',
        };
    }
}
