<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** How much of which frequency is in a sound. */
final class Spectrum
{
    private const FLOOR_DB = -60.0;

    private const MOST_HZ = 1800.0;

    private const OVERTONES = 6;

    /**
     * How much of one frequency is in it, with a Hann window.
     *
     * @param  list<float>  $samples
     */
    public static function level(array $samples, float $hz, float $rate): float
    {
        $angle = 2 * M_PI * $hz / $rate;
        $re = $im = 0.0;
        $n = max(1, count($samples));
        foreach ($samples as $i => $value) {
            $value *= 0.5 - 0.5 * cos(2 * M_PI * $i / $n);
            $re += $value * cos($angle * $i);
            $im += $value * sin($angle * $i);
        }

        return hypot($re, $im);
    }

    /**
     * Level over frequency, for a picture: dB below the strongest.
     *
     * @param  list<float>  $ringing
     * @return list<array{float, float}>
     */
    public static function of(array $ringing, float $rate): array
    {
        $levels = [];
        for ($hz = 12.0; $hz < self::MOST_HZ && $hz < 0.45 * $rate; $hz *= 1.025) {
            $levels[] = [$hz, self::level($ringing, $hz, $rate)];
        }
        $most = max([1e-12, ...array_column($levels, 1)]);

        return array_map(static fn (array $l): array => [$l[0], max(self::FLOOR_DB, 20 * log10(max(1e-9, $l[1] / $most)))], $levels);
    }

    /**
     * @param  list<float>  $ringing
     * @return list<array{times: int, frequency_hz: float, level_db: float}> against the strongest
     */
    public static function overtones(array $ringing, float $frequency, float $rate): array
    {
        $levels = [];
        for ($times = 1; $times <= self::OVERTONES && $times * $frequency < 0.45 * $rate; $times++) {
            $angle = 2 * M_PI * $times * $frequency / $rate;
            $re = $im = 0.0;
            foreach ($ringing as $i => $value) {
                $re += $value * cos($angle * $i);
                $im += $value * sin($angle * $i);
            }
            $levels[$times] = hypot($re, $im);
        }
        $most = max([1e-12, ...array_values($levels)]);
        $overtones = [];
        foreach ($levels as $times => $level) {
            $overtones[] = ['times' => $times, 'frequency_hz' => $times * $frequency, 'level_db' => 20 * log10(max(1e-6, $level / $most))];
        }

        return $overtones;
    }
}
