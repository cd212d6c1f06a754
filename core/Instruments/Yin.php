<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * The period of a window of sound by its cumulative mean normalised difference: YIN (de Cheveigné and Kawahara 2002,
 * J. Acoust. Soc. Am. 111, 1917–1930), with parabolic interpolation.
 */
final class Yin
{
    private const MARGIN = 0.12;

    /** Periods whose dip is looked for. */
    private const MULTIPLES = 8;

    /**
     * @param  list<float>  $window
     * @return array{float, float} frequency, clarity
     */
    public static function of(array $window, float $rate, float $lowestHz, float $highestHz): array
    {
        $longest = (int) ceil($rate / $lowestHz * 1.03);
        $shortest = (int) floor($rate / $highestHz * 0.95);
        $span = count($window) - $longest;
        $difference = [1.0];
        $running = 0.0;
        for ($lag = 1; $lag <= $longest; $lag++) {
            $sum = 0.0;
            for ($i = 0; $i < $span; $i++) {
                $d = $window[$i] - $window[$i + $lag];
                $sum += $d * $d;
            }
            $running += $sum;
            $difference[] = $running > 0 ? $sum * $lag / $running : 1.0;
        }
        $lag = self::dip($difference, $shortest, $longest);

        return [$rate / self::refined($difference, $lag, $window), max(0.0, 1 - $difference[$lag])];
    }

    /**
     * The first dip nearly as deep as the deepest: multiples of a period dip as deep as itself, and in noise one of them may
     * be a little deeper by chance.
     *
     * @param  list<float>  $difference
     */
    private static function dip(array $difference, int $shortest, int $longest): int
    {
        $best = $shortest;
        for ($lag = $shortest; $lag < $longest; $lag++) {
            $best = $difference[$lag] < $difference[$best] ? $lag : $best;
        }
        for ($lag = $shortest; $lag < $best; $lag++) {
            if ($difference[$lag] <= $difference[$best] + self::MARGIN
                && $difference[$lag] <= $difference[$lag + 1]
                && $difference[$lag] <= ($difference[$lag - 1] ?? INF)) {
                return $lag;
            }
        }

        return $best;
    }

    /**
     * The period to a fraction of a sample: by a parabola at its dip, then at the dips of its multiples, the longest of
     * which tells it finest.
     *
     * @param  list<float>  $difference
     * @param  list<float>  $window
     */
    private static function refined(array $difference, int $lag, array $window): float
    {
        $period = self::parabola($difference, $lag, (int) (0.03 * $lag));
        $power = 2 * array_sum(array_map(static fn (float $v): float => $v * $v, $window)) / count($window);
        foreach (range(2, self::MULTIPLES) as $times) {
            if (($times + 0.1) * $period >= 0.7 * count($window)) {
                break;
            }
            $about = (int) round($times * $period);
            $reach = max(2, (int) ceil(0.012 * $about + 0.03 * $period));
            $span = count($window) - $about - $reach - 1;
            $values = [];
            for ($k = $about - $reach - 1; $k <= $about + $reach + 1; $k++) {
                $sum = 0.0;
                for ($i = 0; $i < $span; $i++) {
                    $d = $window[$i] - $window[$i + $k];
                    $sum += $d * $d;
                }
                $values[] = $sum / $span;
            }
            $dip = $values === [] ? 0 : (int) array_search(min($values), $values, true);
            if ($dip === 0 || $dip === count($values) - 1 || $values[$dip] > 0.6 * $power) {
                break;
            }
            $period = ($about - $reach - 1 + self::parabola($values, $dip, (int) (0.03 * $period))) / $times;
        }

        return $period;
    }

    /**
     * Where the parabola through the values around a dip is lowest: through three of them, or fitted to more where the
     * dip is wide, so that noise averages out.
     *
     * @param  list<float>  $values
     */
    private static function parabola(array $values, int $at, int $reach = 1): float
    {
        $reach = max(1, min($reach, $at, count($values) - 1 - $at));
        if (! isset($values[$at - $reach], $values[$at + $reach])) {
            return $at;
        }
        $n = 2 * $reach + 1;
        $s2 = $s4 = $sum = $slope = $bend = 0.0;
        for ($k = -$reach; $k <= $reach; $k++) {
            $value = $values[$at + $k];
            $s2 += $k ** 2;
            $s4 += $k ** 4;
            $sum += $value;
            $slope += $k * $value;
            $bend += $k ** 2 * $value;
        }
        $curve = ($n * $bend - $s2 * $sum) / ($n * $s4 - $s2 ** 2);

        return $curve <= 0 ? $at : $at + max(-$reach, min($reach, -$slope / $s2 / (2 * $curve)));
    }
}
