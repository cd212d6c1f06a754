<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * Control constants from the oscillation under on-off control: Ku = 4d/(πa), a half of peak to peak, Tu the period
 * (Åström and Hägglund 1984); Kp 0.6 Ku, Ki 2 Kp/Tu, Kd Kp·Tu/8 (Ziegler and Nichols 1942).
 */
final readonly class RelayTune implements Computation
{
    /** Cycles at the beginning that do not count: it is still warming through. */
    private const SETTLING = 1;

    public function name(): string
    {
        return 'relay-tune';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $relay = $fields->number('relay_amplitude', 0.001, 1e5);
        [$amplitude, $period, $cycles] = $fields->has('amplitude_c') || $fields->has('period_s')
            ? [$fields->number('amplitude_c', 0.01, 100, '°C'), $fields->number('period_s', 0.1, 3600, 's'), null]
            : $this->fromLog(HeatLog::read($fields));
        $fields->done();
        $ku = 4 * $relay / (M_PI * $amplitude);
        $kp = 0.6 * $ku;

        return [
            'amplitude_c' => $amplitude,
            'ku' => $ku,
            'tu_s' => $period,
            'kp' => $kp,
            'ki' => 2 * $kp / $period,
            'kd' => $kp * $period / 8,
            'because' => sprintf('It swings by ±%s °C every %s s%s. Tune at printing temperature, with the sock on.', Said::figure($amplitude), Said::figure($period), $cycles === null ? '' : ", over {$cycles} whole cycles"),
        ];
    }

    /**
     * @param  non-empty-list<HeatSample>  $log
     * @return array{float, float, int} half of peak to peak, period, cycles
     */
    private function fromLog(array $log): array
    {
        $crossings = $this->upward($log);
        $cycles = count($crossings) - 1 - self::SETTLING;
        if ($cycles < 2) {
            throw InputError::at('csv', 'The log holds fewer than two whole cycles after the first one. Log at least three minutes of it swinging.');
        }
        $from = $crossings[self::SETTLING];
        $to = $crossings[count($crossings) - 1];
        $swings = [];
        for ($i = self::SETTLING; $i < count($crossings) - 1; $i++) {
            $values = [];
            foreach ($log as $sample) {
                if ($sample->at >= $crossings[$i] && $sample->at <= $crossings[$i + 1]) {
                    $values[] = $sample->actual;
                }
            }
            $swings[] = $values === [] ? 0.0 : max($values) - min($values);
        }
        $amplitude = array_sum($swings) / count($swings) / 2;
        if ($amplitude <= 0) {
            throw InputError::at('csv', 'The log does not swing.');
        }

        return [$amplitude, ($to - $from) / $cycles, $cycles];
    }

    /**
     * Times at which it rises through its target, between samples by the straight line.
     *
     * @param  non-empty-list<HeatSample>  $log
     * @return list<float>
     */
    private function upward(array $log): array
    {
        $times = [];
        foreach ($log as $i => $sample) {
            $before = $log[$i - 1] ?? null;
            if ($before !== null && $sample->target > 0 && $before->actual < $sample->target && $sample->actual >= $sample->target) {
                $times[] = $before->at + ($sample->at - $before->at) * ($sample->target - $before->actual) / ($sample->actual - $before->actual);
            }
        }

        return $times;
    }
}
