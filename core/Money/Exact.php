<?php

declare(strict_types=1);

namespace OddBench\Money;

/**
 * Arithmetic of money in whole minor units: shares, percentages and minutes of hands are taken as decimal fractions, multiplied
 * whole and rounded once, half up (away from zero below it), so that no sum ever passes through a float. What is expected is no sum
 * but a guess: it is weighed in floats and becomes whole here, once.
 */
final readonly class Exact
{
    /** Percentages are taken to the hundredth, minutes and rates to the thousandth. */
    private const PER_CENT = 10_000;

    private const MILLI = 1000;

    private const LEFT_BY_FLOATS = 1e-9;

    /**
     * A share of a sum, rounded half up.
     *
     * @param  int  $sum  minor units
     * @param  int  $of  0 or more
     * @param  int  $all  1 or more
     */
    public static function share(int $sum, int $of, int $all): int
    {
        if ($sum < 0) {
            return -self::share(-$sum, $of, $all);
        }
        // whole and rest apart: the product of a large sum does not fit
        $rest = ($sum % $all) * $of;

        return intdiv($sum, $all) * $of + intdiv(2 * $rest + $all, 2 * $all);
    }

    /** A sum that chances or days were weighed into, rounded half up; what floats leave of a half is not lost. */
    public static function whole(float $sum): int
    {
        return (int) floor($sum + 0.5 + self::LEFT_BY_FLOATS);
    }

    /** So many per cent of a sum, to the hundredth of a per cent. */
    public static function percent(int $sum, float $pct): int
    {
        return self::share($sum, (int) round($pct * 100), self::PER_CENT);
    }

    /** A sum with so many per cent added, rounded once. */
    public static function raised(int $sum, float $pct): int
    {
        return self::share($sum, self::PER_CENT + (int) round($pct * 100), self::PER_CENT);
    }

    /**
     * What minutes of hands come to.
     *
     * @param  float  $minutes  0 or more, to the thousandth
     * @param  float  $rate  minor units for one, to the thousandth
     */
    public static function hands(float $minutes, float $rate): int
    {
        return self::share((int) round($minutes * self::MILLI), (int) round($rate * self::MILLI), self::MILLI ** 2);
    }

    /**
     * Shares a sum by weights so that it adds up exactly: each gets its share rounded down, what is left goes in single units to
     * the largest remainders, the first one first among equals (Hamilton’s method of largest remainders). Without any weight all
     * get the same.
     *
     * @param  int  $sum  minor units, 0 or more
     * @param  non-empty-list<int>  $weights  each 0 or more
     * @return non-empty-list<int>
     */
    public static function apportion(int $sum, array $weights): array
    {
        $all = array_sum($weights);
        if ($all === 0) {
            $weights = array_map(static fn (): int => 1, $weights);
            $all = count($weights);
        }
        $shares = $rests = [];
        foreach ($weights as $i => $weight) {
            // whole and rest apart, twice: neither product outgrows an integer
            $rest = intdiv($sum, $all) * $weight;
            $left = ($sum % $all) * $weight;
            $shares[$i] = $rest + intdiv($left, $all);
            $rests[$i] = $left % $all;
        }
        $open = $sum - array_sum($shares);
        arsort($rests);
        foreach (array_slice(array_keys($rests), 0, $open) as $i) {
            $shares[$i]++;
        }

        return array_values($shares);
    }
}
