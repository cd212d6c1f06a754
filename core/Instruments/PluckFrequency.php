<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * The pitch of a plucked belt from a recording: YIN (de Cheveigné and Kawahara 2002, J. Acoust. Soc. Am. 111, 1917–1930)
 * with parabolic interpolation, over several windows after the pluck. A pluck keeps its period from window to window;
 * noise and speech do not, and that decides how far it is believed.
 */
final readonly class PluckFrequency implements Computation
{
    private const LOWEST_HZ = 20.0;

    private const HIGHEST_HZ = 500.0;

    /** What is worked with: everything above is filtered off. */
    private const RATE = 4000;

    private const SECONDS = 10.0;

    private const MOST_BYTES = 16 * 1024 * 1024;

    /** Root mean square below this of full scale is silence. */
    private const SILENCE = 0.0008;

    /** Seconds: six of the longest periods. */
    private const WINDOW_S = 0.3;

    private const HOP_S = 0.05;

    private const WINDOWS = 8;

    /** Windows agree within this share. */
    private const AGREE = 0.015;

    public function name(): string
    {
        return 'pluck-frequency';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $wav = Wav::read($fields->contents('wav_file')->bytes(self::MOST_BYTES, 'wav_file'), 'wav_file', self::SECONDS);
        $fields->done();
        if (count($wav->samples) < 0.2 * $wav->rate) {
            throw InputError::at('wav_file', 'The recording is shorter than 0.2 s. Record a whole pluck.');
        }
        $signal = self::lowered($wav);
        $windows = $this->windows($signal);
        [$frequency, $confidence] = $this->agreed($windows);

        return [
            'frequency_hz' => $frequency,
            'confidence' => $confidence,
            'harmonics' => $frequency === null ? [] : $this->harmonics($signal, $frequency),
            'spectrum' => $this->spectrum($signal),
            'because' => $frequency === null
                ? 'Nothing that keeps a pitch is heard. Hold it close, pluck once, and let it ring.'
                : sprintf('%s Hz, confidence %s. %s', Said::figure($frequency), Said::figure($confidence), $confidence < 0.3 ? 'That is no pluck to rely on: hold it closer and pluck once.' : 'The windows after the pluck agree.'),
        ];
    }

    /**
     * Down to about 4 kHz: a low-pass as long as the step (windowed sinc), then every n-th sample.
     */
    private static function lowered(Wav $wav): Wav
    {
        $step = max(1, (int) floor($wav->rate / self::RATE));
        $mean = array_sum($wav->samples) / max(1, count($wav->samples));
        $taps = [];
        $half = 8 * $step;
        for ($k = -$half; $k <= $half; $k++) {
            $x = $k / $step;
            $taps[] = ($k === 0 ? 1.0 : sin(M_PI * $x * 0.8) / (M_PI * $x * 0.8)) * (0.54 + 0.46 * cos(M_PI * $k / $half));
        }
        $sum = array_sum($taps);
        $lowered = [];
        for ($i = 0, $n = count($wav->samples); $i < $n; $i += $step) {
            $value = 0.0;
            for ($k = max(0, $i - $half), $last = min($n - 1, $i + $half); $k <= $last; $k++) {
                $value += ($wav->samples[$k] - $mean) * $taps[$k - $i + $half];
            }
            $lowered[] = $value / $sum;
        }

        return Wav::of($wav->rate / $step, $lowered);
    }

    /** @return list<array{float, float}> frequency, clarity from 0 to 1, of each window after the loudest moment */
    private function windows(Wav $signal): array
    {
        $size = (int) (self::WINDOW_S * $signal->rate);
        $block = (int) (0.02 * $signal->rate);
        $from = $this->onset($signal->samples, $block, (int) ((self::WINDOW_S + 4 * self::HOP_S) * $signal->rate)) + $block;
        $found = [];
        for ($i = 0; $i < self::WINDOWS; $i++) {
            $at = $from + (int) ($i * self::HOP_S * $signal->rate);
            $window = array_slice($signal->samples, $at, $size);
            if (count($window) < $size) {
                break;
            }
            $power = array_sum(array_map(static fn (float $v): float => $v * $v, $window)) / $size;
            $found[] = sqrt($power) < self::SILENCE ? [0.0, 0.0] : Yin::of($window, $signal->rate, self::LOWEST_HZ, self::HIGHEST_HZ);
        }

        return $found;
    }

    /** @param  list<float>  $signal */
    private function onset(array $signal, int $block, int $room): int
    {
        $loudest = 0;
        $most = -1.0;
        for ($at = 0, $n = count($signal) - $block; $at < $n; $at += $block) {
            $power = 0.0;
            for ($i = $at; $i < $at + $block; $i++) {
                $power += $signal[$i] ** 2;
            }
            if ($power > $most) {
                [$loudest, $most] = [$at, $power];
            }
        }

        // leave room for the windows behind it
        return max(0, min($loudest, count($signal) - $room - 2 * $block));
    }

    /**
     * @param  list<array{float, float}>  $windows
     * @return array{float|null, float}
     */
    private function agreed(array $windows): array
    {
        $heard = array_values(array_filter($windows, static fn (array $w): bool => $w[0] >= self::LOWEST_HZ * 0.98 && $w[0] <= self::HIGHEST_HZ * 1.02));
        $best = [];
        foreach ($heard as [$candidate]) {
            $with = array_values(array_filter($heard, static fn (array $w): bool => abs($w[0] / $candidate - 1) < self::AGREE));
            if (array_sum(array_column($with, 1)) > array_sum(array_column($best, 1))) {
                $best = $with;
            }
        }
        if ($best === []) {
            return [null, 0.0];
        }
        $clarity = array_sum(array_column($best, 1));
        // clear windows count most: the later ones drown in noise
        $weights = array_map(static fn (array $w): float => $w[1] ** 6, $best);
        $frequency = array_sum(array_map(static fn (array $w, float $weight): float => $w[0] * $weight, $best, $weights)) / max(1e-12, array_sum($weights));
        $share = count($best) / max(4, count($windows));

        return [$frequency, $clarity / count($best) * $share ** 2];
    }

    /**
     * Level over frequency while it rings, for a picture: dB below the strongest.
     *
     * @return list<array{float, float}>
     */
    private function spectrum(Wav $signal): array
    {
        $block = (int) (0.02 * $signal->rate);
        $ringing = array_slice($signal->samples, $this->onset($signal->samples, $block, (int) (0.3 * $signal->rate)), (int) (0.25 * $signal->rate));
        $levels = [];
        for ($hz = 12.0; $hz < 900 && $hz < 0.45 * $signal->rate; $hz *= 1.02) {
            $levels[] = [$hz, self::level($ringing, $hz, $signal->rate)];
        }
        $most = max([1e-12, ...array_column($levels, 1)]);

        return array_map(static fn (array $l): array => [$l[0], max(-60.0, 20 * log10(max(1e-9, $l[1] / $most)))], $levels);
    }

    /**
     * How much of one frequency is in it, with a Hann window.
     *
     * @param  list<float>  $samples
     */
    private static function level(array $samples, float $hz, float $rate): float
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
     * @return list<array{times: int, frequency_hz: float, level_db: float}> against the strongest
     */
    private function harmonics(Wav $signal, float $frequency): array
    {
        $rate = $signal->rate;
        $block = (int) (0.02 * $rate);
        $ringing = array_slice($signal->samples, $this->onset($signal->samples, $block, (int) (0.3 * $rate)), (int) (0.25 * $rate));
        $levels = [];
        for ($times = 1; $times <= 6 && $times * $frequency < 0.45 * $rate; $times++) {
            $angle = 2 * M_PI * $times * $frequency / $rate;
            $re = $im = 0.0;
            foreach ($ringing as $i => $value) {
                $re += $value * cos($angle * $i);
                $im += $value * sin($angle * $i);
            }
            $levels[$times] = hypot($re, $im);
        }
        $most = max(1e-12, ...array_values($levels));
        $harmonics = [];
        foreach ($levels as $times => $level) {
            $harmonics[] = ['times' => $times, 'frequency_hz' => $times * $frequency, 'level_db' => 20 * log10(max(1e-6, $level / $most))];
        }

        return $harmonics;
    }
}
