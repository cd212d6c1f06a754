<?php

declare(strict_types=1);

namespace OddBench\Repair;

use InvalidArgumentException;

/**
 * How long a piece of work takes the n-th time: T(n) = T(1)·n^b, so that time falls by a fixed share with each doubling
 * (T. P. Wright, Factors affecting the cost of airplanes, Journal of the Aeronautical Sciences 3, 1936). What a guide
 * says of the first and of the practised time counts as one measurement each; every time taken since is another; the
 * line through their logarithms is of least squares.
 */
final readonly class LearningCurve
{
    /** “Practised” is the tenth time (common practice). */
    public const PRACTISED = 10;

    private function __construct(public float $firstMinutes, public float $exponent)
    {
    }

    /**
     * @param  float  $first  minutes, over 0
     * @param  float  $practised  minutes, over 0
     * @param  list<float>  $taken  minutes of the first, second, … time, each over 0
     */
    public static function of(float $first, float $practised, array $taken = []): self
    {
        $points = [[1, $first], [self::PRACTISED, $practised]];
        foreach ($taken as $i => $minutes) {
            $points[] = [$i + 1, $minutes];
        }
        $n = count($points);
        $sx = $sy = $sxx = $sxy = 0.0;
        foreach ($points as [$times, $minutes]) {
            if ($minutes <= 0 || ! is_finite($minutes)) {
                throw new InvalidArgumentException('Minutes must be over 0.');
            }
            $x = log($times);
            $y = log($minutes);
            $sx += $x;
            $sy += $y;
            $sxx += $x * $x;
            $sxy += $x * $y;
        }
        // nobody is taken to get slower by practice: then the curve is level, at the mean
        $exponent = min(0.0, ($n * $sxy - $sx * $sy) / ($n * $sxx - $sx * $sx));

        return new self(exp(($sy - $exponent * $sx) / $n), $exponent);
    }

    /** Minutes of the n-th time, n from 1 on. */
    public function minutes(int $n): float
    {
        return $this->firstMinutes * max(1, $n) ** $this->exponent;
    }

    /** What is left of the time with each doubling, 0 to 1. */
    public function rate(): float
    {
        return 2 ** $this->exponent;
    }
}
