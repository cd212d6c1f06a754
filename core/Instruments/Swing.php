<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/**
 * A temperature that swings about its target under on-off control: its height, its period, and for how much of it the heater
 * is on. Crossings count only when they pass a band the noise does not, and each is where a straight line through the samples
 * within that band meets the target.
 */
final readonly class Swing
{
    /** Cycles at the beginning that do not count: it is still warming through. */
    private const SETTLING = 1;

    private const FEWEST_CYCLES = 2;

    private const MOST_CYCLES = 40;

    /** Periods of a swing that repeats agree within this share of their mean. */
    private const PERIODS_AGREE = 0.25;

    private const SAMPLES_A_PERIOD = 8;

    /** Half the band the noise does not pass, in its standard deviations, and as a share of the swing at the most. */
    private const BAND_SIGMAS = 3.0;

    private const BAND_SHARE = 0.6;

    /** Power on for less or more than this of the time leaves too little of the other half to see. */
    private const LEAST_ON = 0.15;

    /**
     * @param  float  $amplitude  half of peak to peak, °C
     * @param  float  $period  s, as it would be were the heater on for half of the time
     * @param  int  $cycles  whole ones it was seen over
     * @param  float  $on  share of the time with power
     */
    private function __construct(public float $amplitude, public float $period, public int $cycles, public float $on)
    {
    }

    /**
     * @param  non-empty-list<HeatSample>  $log
     *
     * @throws InputError at csv when it does not swing steadily
     */
    public static function of(array $log): self
    {
        $target = $log[count($log) - 1]->target;
        $log = array_values(array_filter($log, static fn (HeatSample $s): bool => $s->target === $target));
        if ($target <= 0 || count($log) < 2 * self::SAMPLES_A_PERIOD) {
            throw InputError::at('csv', 'The log holds no swing about a target: log three minutes and more of it, one sample a second.');
        }
        $values = array_map(static fn (HeatSample $s): float => $s->actual, $log);
        $noise = self::noise($values);
        $half = self::half($values);
        $band = self::BAND_SIGMAS * $noise;
        if ($half <= 0 || $band > self::BAND_SHARE * $half) {
            throw InputError::at(
                'csv',
                'The swing does not stand out from the noise, or there are too few samples in each period. Log one a second and let it swing by more.',
            );
        }
        $crossings = self::crossings($log, $target, $band, 1.0);
        $cycles = count($crossings) - 1 - self::SETTLING;
        if ($cycles < self::FEWEST_CYCLES) {
            throw InputError::at(
                'csv',
                'The log holds fewer than two whole cycles after the first one. Log at least three minutes of it swinging.',
            );
        }
        // of a long log the last ones, when it has warmed through
        $cycles = min($cycles, self::MOST_CYCLES);
        $crossings = array_slice($crossings, -$cycles - 1);
        $periods = array_map(static fn (int $i): float => $crossings[$i + 1] - $crossings[$i], range(0, $cycles - 1));
        $mean = array_sum($periods) / $cycles;
        if (max($periods) - min($periods) > self::PERIODS_AGREE * $mean) {
            throw InputError::at(
                'csv',
                sprintf(
                    'Its periods go from %s to %s s: that is no steady swing. Keep draught and fan alike, and log until it repeats itself.',
                    Said::figure(min($periods)),
                    Said::figure(max($periods)),
                ),
            );
        }
        $within = array_values(array_filter(
            $log,
            static fn (HeatSample $s): bool => $s->at >= $crossings[0] && $s->at < $crossings[$cycles],
        ));
        if (count($within) < self::SAMPLES_A_PERIOD * $cycles) {
            throw InputError::at(
                'csv',
                sprintf(
                    'There are only %d samples to a period; it takes %d at the least. Log more often.',
                    intdiv(count($within), $cycles),
                    self::SAMPLES_A_PERIOD,
                ),
            );
        }
        $on = self::on($within, $crossings, self::crossings($within, $target, $band, -1.0));
        if ($on < self::LEAST_ON || $on > 1 - self::LEAST_ON) {
            throw InputError::at(
                'csv',
                sprintf(
                    'Its heater is on for %s of the time: too far from half to tell from. Give it %s power.',
                    Said::percent($on),
                    $on < 0.5 ? 'less' : 'more',
                ),
            );
        }

        // a process that integrates after a dead time θ swings with θ/(D(1 − D)); at D = ½ that is 4θ
        return new self(self::amplitude($within, $crossings, $noise > 0.01 * $half), $mean * 4 * $on * (1 - $on), $cycles, $on);
    }

    /**
     * Standard deviation of what does not belong to a smooth curve: by the median of the second differences, whose variance
     * is 3/2 of the noise’s (Gasser, Sroka and Jennen-Steinmetz 1986). The curve’s own bend counts as noise: too few samples in
     * a period look like it, rightly.
     *
     * @param  list<float>  $values
     */
    private static function noise(array $values): float
    {
        $bends = [];
        for ($i = 1; $i < count($values) - 1; $i++) {
            $bends[] = abs($values[$i] - ($values[$i - 1] + $values[$i + 1]) / 2);
        }
        sort($bends);

        return ($bends[intdiv(count($bends), 2)] ?? 0.0) / 0.6745 / sqrt(1.5);
    }

    /**
     * Half of the way between the 5th and the 95th hundredth.
     *
     * @param  list<float>  $values
     */
    private static function half(array $values): float
    {
        sort($values);
        $at = static fn (float $share): float => $values[(int) round($share * (count($values) - 1))];

        return ($at(0.95) - $at(0.05)) / 2;
    }

    /**
     * Times at which it passes its target.
     *
     * @param  list<HeatSample>  $log
     * @param  float  $way  1 upwards, −1 downwards
     * @return list<float>
     */
    private static function crossings(array $log, float $target, float $band, float $way): array
    {
        $times = [];
        $below = null;
        foreach ($log as $i => $sample) {
            $beyond = ($sample->actual - $target) * $way;
            if ($beyond < -$band || ($band <= 0.0 && $beyond < 0)) {
                $below = $i;
            } elseif ($below !== null && $beyond >= $band) {
                $times[] = self::meets(array_slice($log, $below, $i - $below + 1), $target);
                $below = null;
            }
        }

        return $times;
    }

    /** @param  list<HeatSample>  $part */
    private static function meets(array $part, float $target): float
    {
        $n = count($part);
        $t = array_sum(array_map(static fn (HeatSample $s): float => $s->at, $part)) / $n;
        $y = array_sum(array_map(static fn (HeatSample $s): float => $s->actual, $part)) / $n;
        $ty = array_sum(array_map(static fn (HeatSample $s): float => ($s->at - $t) * ($s->actual - $y), $part));
        $tt = array_sum(array_map(static fn (HeatSample $s): float => ($s->at - $t) ** 2, $part));

        return $ty != 0.0 ? $t + ($target - $y) * $tt / $ty : $t;
    }

    /**
     * By its power where the log tells it, else by the time below the target.
     *
     * @param  list<HeatSample>  $within
     * @param  list<float>  $ups  times it rises through its target; the samples are between the first and the last
     * @param  list<float>  $downs
     */
    private static function on(array $within, array $ups, array $downs): float
    {
        $powers = array_map(static fn (HeatSample $s): ?float => $s->power, $within);
        if (! in_array(null, $powers, true) && max([0.0, ...$powers]) > min([INF, ...$powers])) {
            $middle = (max([0.0, ...$powers]) + min([INF, ...$powers])) / 2;

            return count(array_filter($powers, static fn (?float $p): bool => $p > $middle)) / count($powers);
        }
        $below = 0.0;
        for ($i = 1; $i < count($ups); $i++) {
            $down = array_values(array_filter($downs, static fn (float $t): bool => $t > $ups[$i - 1] && $t < $ups[$i]))[0] ?? $ups[$i];
            $below += $ups[$i] - $down;
        }

        return $below / ($ups[count($ups) - 1] - $ups[0]);
    }

    /**
     * Half of peak to peak, the middle one of all cycles; a noisy log is smoothed over a twelfth of its period first, and what
     * that takes from a sine is given back.
     *
     * @param  list<HeatSample>  $within
     * @param  list<float>  $crossings
     */
    private static function amplitude(array $within, array $crossings, bool $noisy): float
    {
        $cycles = count($crossings) - 1;
        $wide = $noisy ? max(1, intdiv(count($within), 12 * $cycles)) : 1;
        $heights = [];
        for ($i = 0; $i < $cycles; $i++) {
            $values = [];
            foreach ($within as $sample) {
                if ($sample->at >= $crossings[$i] && $sample->at <= $crossings[$i + 1]) {
                    $values[] = $sample->actual;
                }
            }
            $smooth = [];
            for ($k = 0; $k + $wide <= count($values); $k++) {
                $smooth[] = array_sum(array_slice($values, $k, $wide)) / $wide;
            }
            $heights[] = $smooth === [] ? 0.0 : (max($smooth) - min($smooth)) / 2;
        }
        sort($heights);
        $angle = M_PI * $wide * $cycles / count($within);

        return $heights[intdiv($cycles, 2)] / ($wide > 1 ? sin($angle) / $angle : 1.0);
    }
}
