<?php

declare(strict_types=1);

namespace OddBench\Stock;

/**
 * How long it is from one order to a supplier to the next, learned from the orders that went out: what is not ordered today
 * waits that long, so the reorder point covers it as well as the lead time (periodic review, common practice).
 */
final class ReviewTime
{
    /** Fewer intervals show no habit: then it is ordered when it is due. */
    private const FEWEST = 3;

    /** An order that never comes round is no rhythm. */
    private const MOST_WEEKS = 4.0;

    /**
     * @param  list<float>  $between  days from each order to the next
     * @return float weeks, 0 to 4: the median
     */
    public static function weeks(array $between): float
    {
        if (count($between) < self::FEWEST) {
            return 0.0;
        }
        sort($between);
        $middle = intdiv(count($between), 2);
        $median = count($between) % 2 === 1 ? $between[$middle] : ($between[$middle - 1] + $between[$middle]) / 2;
        $weeks = $median / 7;

        return $weeks < 0.01 || $weeks > self::MOST_WEEKS ? 0.0 : $weeks;
    }
}
