<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * The pitch of a plucked belt from a recording: YIN (de Cheveigné and Kawahara 2002, J. Acoust. Soc. Am. 111, 1917–1930)
 * with parabolic interpolation, over several windows after the pluck. A pluck keeps its period from window to window;
 * noise does not, and it begins at once and dies away: that decides how far it is believed.
 */
final readonly class PluckFrequency implements Computation
{
    private const LOWEST_HZ = 20.0;

    private const HIGHEST_HZ = 1500.0;

    /** What is worked with: everything above is filtered off. */
    private const RATE = 8000;

    private const LOW_RATE = 4000;

    private const SECONDS = 10.0;

    private const MOST_BYTES = 16 * 1024 * 1024;

    /** Root mean square below this of full scale is silence. */
    private const SILENCE = 0.0008;

    /** Seconds: six of the longest periods. */
    private const WINDOW_S = 0.3;

    private const HOP_S = 0.05;

    private const BLOCK_S = 0.02;

    private const RINGS_S = 0.25;

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
        [$signal, $onset, $frequency, $agreed] = $this->heard($wav);
        $rings = $frequency === null ? 0.0 : (new Ringing($signal, $onset))->belief($frequency);
        $confidence = $agreed * $rings;

        return [
            'frequency_hz' => $frequency,
            'confidence' => $confidence,
            'harmonics' => $frequency === null ? [] : Spectrum::overtones(self::rings($signal, $onset), $frequency, $signal->rate),
            'spectrum' => Spectrum::of(self::rings($signal, $onset), $signal->rate),
            'because' => $frequency === null
                ? 'Nothing that keeps a pitch is heard. Hold it close, pluck once, and let it ring.'
                : sprintf('%s Hz, confidence %s. %s', Said::figure($frequency), Said::figure($confidence), match (true) {
                    $confidence >= 0.3 => 'The windows after the pluck agree, and it dies away as a belt does.',
                    $rings < 0.3 => 'It does not begin at once and die away as a pluck does: a hum, a fan, a voice? Switch off what sounds, pluck once and let it ring.',
                    default => 'That is no pluck to rely on: hold it closer and pluck once.',
                }),
        ];
    }

    /**
     * What is heard up to 1.5 kHz; where that is low, or nothing, what is heard with everything above 2 kHz filtered off, when
     * its windows agree better: less noise comes with it.
     *
     * @return array{Wav, int, float|null, float} signal, onset, frequency, how far the windows agree
     */
    private function heard(Wav $wav): array
    {
        $found = [];
        foreach ([self::RATE, self::LOW_RATE] as $rate) {
            $signal = self::lowered($wav, $rate);
            $onset = $this->onset($signal);
            [$frequency, $agreed] = $this->agreed($this->windows($signal, $onset));
            if ($found === [] || $agreed > $found[3]) {
                $found = [$signal, $onset, $frequency, $agreed];
            }
            if ($frequency !== null && $frequency > self::LOW_RATE / 8) {
                break;
            }
        }

        return $found;
    }

    /**
     * Down to about a rate: a low-pass as long as the step (windowed sinc), then every n-th sample.
     */
    private static function lowered(Wav $wav, int $rate): Wav
    {
        $step = max(1, (int) floor($wav->rate / $rate));
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

    /** @return list<array{float, float}> frequency, clarity from 0 to 1, of each window after the onset */
    private function windows(Wav $signal, int $onset): array
    {
        $size = (int) (self::WINDOW_S * $signal->rate);
        $from = $onset + (int) (self::BLOCK_S * $signal->rate);
        $found = [];
        for ($i = 0; $i < self::WINDOWS; $i++) {
            $at = $from + (int) ($i * self::HOP_S * $signal->rate);
            $window = array_slice($signal->samples, $at, $size);
            if (count($window) < $size) {
                break;
            }
            $power = array_sum(array_map(static fn (float $v): float => $v * $v, $window)) / $size;
            $found[] = sqrt($power) < self::SILENCE ? [0.0, 0.0] : Yin::of(
                $window,
                $signal->rate,
                self::LOWEST_HZ,
                min(self::HIGHEST_HZ, $signal->rate / 5),
            );
        }

        return $found;
    }

    /** The loudest moment, with room for the windows behind it. */
    private function onset(Wav $wav): int
    {
        $signal = $wav->samples;
        $block = (int) (self::BLOCK_S * $wav->rate);
        $room = (int) ((self::WINDOW_S + 4 * self::HOP_S) * $wav->rate);
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

        return max(0, min($loudest, count($signal) - $room - 2 * $block));
    }

    /**
     * @param  list<array{float, float}>  $windows
     * @return array{float|null, float}
     */
    private function agreed(array $windows): array
    {
        $heard = array_values(array_filter(
            $windows,
            static fn (array $w): bool => $w[0] >= self::LOWEST_HZ * 0.98 && $w[0] <= self::HIGHEST_HZ * 1.02,
        ));
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
        $frequency = array_sum(array_map(
            static fn (array $w, float $weight): float => $w[0] * $weight,
            $best,
            $weights,
        )) / max(1e-12, array_sum($weights));
        $share = count($best) / max(4, count($windows));

        return [$frequency, $clarity / count($best) * $share ** 2];
    }

    /** @return list<float> a quarter of a second from the onset on */
    private static function rings(Wav $signal, int $onset): array
    {
        return array_slice($signal->samples, $onset, (int) (self::RINGS_S * $signal->rate));
    }
}
