<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Input\Contents;
use OddBench\Rig\Pluck;

/** Strings, planes and parallelograms made up, whose tension, pitch, screws and skew are known. */
final readonly class FrameReferences extends Asking
{
    /** @return iterable<array{float, float}> */
    public function strings(): iterable
    {
        for ($i = 0; $i < 100; $i++) {
            [$span, $tension, $mass] = [$this->between(0.06, 0.8), $this->between(2, 60), $this->between(0.004, 0.02)];
            // N equal masses on a string: ω = 2 √(T/(m h²)) sin(π/(2(N + 1))), here nearly the continuous one
            $n = 2000;
            $h = $span / ($n + 1);
            $hertz = 2 * sqrt($tension / ($mass * $h ** 2)) * sin(M_PI / (2 * ($n + 1))) / (2 * M_PI);
            if ($hertz > 5 && $hertz < 2000) {
                yield [
                    self::number(
                        $this->compute(
                            'belt-tension',
                            ['span_mm' => 1000 * $span, 'frequency_hz' => $hertz, 'mass_g_per_m' => 1000 * $mass],
                        ),
                        'tension_n',
                    ),
                    $tension,
                ];
            }
        }
    }

    /** How far a pitch is off, and how many are believed, at so many decibels of signal to noise. */
    public function plucks(int $noise): Compared
    {
        $worst = 0.0;
        $believed = $cases = 0;
        foreach ([24.0, 55.0, 110.0, 220.0, 440.0, 880.0, 1400.0] as $hz) {
            for ($i = 0; $i < 4; $i++, $cases++) {
                $heard = $this->compute(
                    'pluck-frequency',
                    ['wav_file' => Contents::text(Pluck::wav(
                        (new Pluck($hz, 0.4, signalToNoise: $noise))->samples(8000, $this->random),
                        8000,
                    ))],
                );
                if (self::number($heard, 'confidence') >= 0.3) {
                    $believed++;
                    $worst = max($worst, abs(self::number($heard, 'frequency_hz') / $hz - 1));
                }
            }
        }

        return new Compared(
            "pluck-frequency, {$noise} dB signal to noise",
            'plucks of known pitch, 24 to 1,400 Hz',
            $cases,
            sprintf('%.2f %% of those believed (%d of %d)', 100 * $worst, $believed, $cases),
        );
    }

    /** @return iterable<array{float, float}> */
    public function planes(): iterable
    {
        for ($i = 0; $i < 50; $i++) {
            [$b, $c] = [$this->between(-0.002, 0.002), $this->between(-0.002, 0.002)];
            $points = array_map(function () use ($b, $c): array {
                [$x, $y] = [$this->between(0, 220), $this->between(0, 220)];

                return ['x_mm' => $x, 'y_mm' => $y, 'z_mm' => 0.1 + $b * $x + $c * $y];
            }, range(1, 9));
            $result = $this->compute(
                'bed-plane',
                [
                    'points' => $points,
                    'screws' => [['name' => 'a', 'x_mm' => 30, 'y_mm' => 30], ['name' => 'b', 'x_mm' => 190, 'y_mm' => 30]],
                    'pitch_mm' => 0.7,
                ],
            );
            $screws = is_array($result['screws'] ?? null) ? $result['screws'] : [];
            yield [is_array($screws[0] ?? null) ? self::number($screws[0], 'move_mm') + 1 : NAN, 1 + $b * 80];
        }
    }

    /** @return iterable<array{float, float}> */
    public function parallelograms(): iterable
    {
        for ($i = 0; $i < 50; $i++) {
            [$a, $b, $skew] = [$this->between(80, 300), $this->between(80, 300), $this->between(-0.5, 0.5)];
            $cosine = cos(deg2rad(90 - $skew));
            $result = $this->compute(
                'squareness',
                [
                    'side_a_mm' => $a,
                    'side_b_mm' => $b,
                    'diagonal_1_mm' => sqrt($a ** 2 + $b ** 2 + 2 * $a * $b * $cosine),
                    'diagonal_2_mm' => sqrt($a ** 2 + $b ** 2 - 2 * $a * $b * $cosine),
                ],
            );
            yield [1 + self::number($result, 'skew_deg'), 1 + $skew];
        }
    }
}
