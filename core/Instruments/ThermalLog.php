<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * How a heater comes up and holds: rise, overshoot, settling, steadiness. Rise from the first sample with the new target to
 * within 1 °C of it; settled when it stays within ±1 °C; steady is what follows. Limits are common practice: an overshoot
 * of a few °C that is back within half a minute is well, a steady swing over ±2 °C is not.
 */
final readonly class ThermalLog implements Computation
{
    private const BAND_C = 1.0;

    private const POINTS = 400;

    private const OVERSHOOT_OK = 5.0;

    private const OVERSHOOT_OUT = 10.0;

    private const BACK_OK_S = 30.0;

    private const BACK_OUT_S = 90.0;

    private const SWING_OK = 2.0;

    private const SWING_OUT = 4.0;

    public function name(): string
    {
        return 'thermal-log';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $log = HeatLog::read($fields);
        $fields->done();
        [$part, $target] = $this->heatUp($log);
        $rise = $this->reached($part, $target);
        $settled = $rise === null ? null : $this->settled($part, $target);
        $began = $part[0]->at;
        $after = $rise === null ? [] : array_slice($part, $rise);
        $steady = $settled === null ? [] : array_map(static fn (HeatSample $s): float => $s->actual, array_slice($part, $settled));
        $result = [
            'target_c' => $target,
            'rise_s' => $rise === null ? null : $part[$rise]->at - $began,
            'overshoot_c' => $after === [] ? null : max(0.0, max(array_map(static fn (HeatSample $s): float => $s->actual, $after)) - $target),
            'settle_s' => $settled === null ? null : $part[$settled]->at - $began,
            'steady_mean_c' => $steady === [] ? null : array_sum($steady) / count($steady),
            'steady_sd_c' => self::deviation($steady),
            'peak_to_peak_c' => $steady === [] ? null : max($steady) - min($steady),
        ];

        return $result + $this->judge($result, $after) + ['curve' => self::curve($log), 'began_s' => $began];
    }

    /**
     * Few enough points to draw: time, actual, target.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return list<array{float, float, float}>
     */
    private static function curve(array $log): array
    {
        $every = max(1, (int) ceil(count($log) / self::POINTS));
        $curve = [];
        foreach ($log as $i => $sample) {
            if ($i % $every === 0 || $i === count($log) - 1) {
                $curve[] = [$sample->at, $sample->actual, $sample->target];
            }
        }

        return $curve;
    }

    /**
     * The samples from the first one with a new target on, while the target stays.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return array{non-empty-list<HeatSample>, float}
     */
    private function heatUp(array $log): array
    {
        $start = null;
        foreach ($log as $i => $sample) {
            if ($sample->target > 0 && ($i === 0 || $sample->target !== $log[$i - 1]->target)) {
                $start = $i;
                break;
            }
        }
        if ($start === null) {
            throw InputError::at('target_c', 'The log never asks for a temperature: its target is 0 throughout.');
        }
        $target = $log[$start]->target;
        $part = [$log[$start]];
        foreach (array_slice($log, $start + 1) as $sample) {
            if ($sample->target !== $target) {
                break;
            }
            $part[] = $sample;
        }

        return [$part, $target];
    }

    /** @param  list<HeatSample>  $part */
    private function reached(array $part, float $target): ?int
    {
        foreach ($part as $i => $sample) {
            if (abs($sample->actual - $target) <= self::BAND_C || ($part[0]->actual < $target && $sample->actual > $target)) {
                return $i;
            }
        }

        return null;
    }

    /** @param  list<HeatSample>  $part */
    private function settled(array $part, float $target): ?int
    {
        $from = null;
        foreach ($part as $i => $sample) {
            $from = abs($sample->actual - $target) <= self::BAND_C ? $from ?? $i : null;
        }

        return $from;
    }

    /** @param  list<float>  $values */
    private static function deviation(array $values): ?float
    {
        if (count($values) < 2) {
            return null;
        }
        $mean = array_sum($values) / count($values);

        return sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / (count($values) - 1));
    }

    /**
     * @param  array<string, float|null>  $result
     * @param  list<HeatSample>  $after  reaching the target
     * @return array{verdict: string, because: string}
     */
    private function judge(array $result, array $after): array
    {
        if ($result['rise_s'] === null) {
            return ['verdict' => 'out', 'because' => sprintf('It never came within 1 °C of %s °C.', Said::figure((float) $result['target_c']))];
        }
        $over = (float) $result['overshoot_c'];
        if ($result['settle_s'] === null) {
            $values = array_map(static fn (HeatSample $s): float => $s->actual, $after);

            return ['verdict' => 'out', 'because' => sprintf('It reached the target in %s s but never stayed within 1 °C: it swings from %s to %s °C.', Said::figure($result['rise_s']), Said::figure($values === [] ? 0.0 : min($values)), Said::figure($values === [] ? 0.0 : max($values)))];
        }
        $back = $result['settle_s'] - $result['rise_s'];
        $swing = (float) $result['peak_to_peak_c'] / 2;
        $verdict = match (true) {
            $over > self::OVERSHOOT_OUT || $back > self::BACK_OUT_S || $swing > self::SWING_OUT => 'out',
            $over > self::OVERSHOOT_OK || $back > self::BACK_OK_S || $swing > self::SWING_OK => 'watch',
            default => 'ok',
        };

        return ['verdict' => $verdict, 'because' => sprintf('Up in %s s, %s °C over, steady %s s later. An overshoot of a few °C that is back within half a minute is well.', Said::figure($result['rise_s']), Said::figure($over), Said::figure($back))];
    }
}
