<?php

declare(strict_types=1);

namespace OddBench\Stock;

/**
 * How much of a part is asked for in a week. What is asked for now and then only (more than 1.32 weeks from one demand to the
 * next on average, after A. A. Syntetos, J. E. Boylan and J. D. Croston, On the categorization of demand patterns, 2005) is
 * forecast by Croston's method (1972) with the correction of Syntetos and Boylan, The accuracy of intermittent demand
 * estimates, International Journal of Forecasting 21, 2005; everything else by its mean.
 */
final readonly class DemandRate
{
    public const SMOOTHING = 0.15;

    private const NOW_AND_THEN = 1.32;

    /** Fewer events than this in a history leave its rate open. */
    private const FEW = 10;

    /**
     * @param  float  $mean  in a week
     * @param  float  $variance  of a week
     * @param  'rate'|'mean'|'croston'  $method
     * @param  float  $events  how many were asked for in all of the history; 0 where a rate is given
     * @param  int  $weeks  its length
     */
    private function __construct(
        public float $mean,
        public float $variance,
        public string $method,
        public float $events = 0.0,
        public int $weeks = 0,
    ) {
    }

    /** Whether so little was asked for that the rate itself is a guess. */
    public function few(): bool
    {
        return $this->events > 0 && $this->events < self::FEW;
    }

    /** A rate somebody gives: its variance is its mean. */
    public static function known(float $perWeek): self
    {
        return new self($perWeek, $perWeek, 'rate');
    }

    /**
     * @param  non-empty-list<float>  $weeks  asked for in each week, the oldest first
     * @param  float  $smoothing  0 to 1
     */
    public static function of(array $weeks, float $smoothing = self::SMOOTHING): self
    {
        $n = count($weeks);
        $mean = array_sum($weeks) / $n;
        $variance = $n < 2 ? $mean : array_sum(array_map(static fn (float $x): float => ($x - $mean) ** 2, $weeks)) / ($n - 1);
        $asked = count(array_filter($weeks, static fn (float $x): bool => $x > 0));

        return $asked < 2 || $n / $asked <= self::NOW_AND_THEN
            ? new self($mean, $variance, 'mean', array_sum($weeks), $n)
            : new self(self::croston($weeks, $smoothing), $variance, 'croston', array_sum($weeks), $n);
    }

    /**
     * @param  list<float>  $weeks
     * @return float (1 − α/2)·z/p with the smoothed size z and interval p
     */
    private static function croston(array $weeks, float $alpha): float
    {
        $size = $interval = null;
        $since = 0;
        foreach ($weeks as $asked) {
            $since++;
            if ($asked <= 0) {
                continue;
            }
            $size = $size === null ? $asked : $size + $alpha * ($asked - $size);
            $interval = $interval === null ? (float) $since : $interval + $alpha * ($since - $interval);
            $since = 0;
        }

        return $size === null || $interval === null ? 0.0 : (1 - $alpha / 2) * $size / $interval;
    }
}
