<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Computation\Catalogue;
use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\StudentT;
use OddBench\Input\Contents;
use OddBench\Rig\PhasePlane;
use OddBench\Rig\Pluck;
use OddBench\Stock\DemandLaw;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Every computation that has a reference beside it, worked out anew: published tables, slow obvious ways, simulations. */
final readonly class References
{
    private Randomizer $random;

    public function __construct(private Catalogue $catalogue, int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return iterable<Compared> */
    public function all(): iterable
    {
        yield Compared::over('diagnose', 'every set of faults counted (networks of up to ten faults)', $this->posteriors());
        yield Compared::over('belt-tension', 'eigenvalue of a string of 2,000 masses', $this->strings());
        foreach ([20, 10, 5, 0] as $noise) {
            yield $this->plucks($noise);
        }
        yield Compared::over('thermistor (RTD)', 'IEC 60751:2022, table of Pt100', $this->platinum());
        yield Compared::over('thermistor', 'there and back again, three models', $this->roundTrips());
        yield Compared::over(
            'contact-resistance',
            'heat-up with losses by Runge and Kutta’s method, contact of 0.02 to 1 Ω',
            $this->contacts(),
            '%.2f %%',
        );
        yield Compared::over('wire (warmth)', 'ampacity for 40 K, IEC 60364-5-52 (from memory)', $this->ampacities(), '%.0f %%');
        yield Compared::over('bed-plane', 'planes made up, with their screws', $this->planes());
        yield Compared::over('squareness', 'parallelograms made up', $this->parallelograms());
        yield Compared::over(
            'relay-tune (period)',
            'relay at a lag with dead time, simulated, against its phase',
            $this->relays(),
            '%.1f %%',
        );
        yield Compared::over(
            'gcode (time)',
            'time-optimal speed on a grid of 0.02 mm (Bobrow, Dubowsky and Gibson 1985)',
            $this->files(),
            '%.2f %%',
        );
        yield Compared::over('reorder', 'negative binomial as a mixture of Poissons, by Simpson’s rule', $this->demands());
        yield Compared::over('trials (Student’s t)', 'NIST/SEMATECH e-Handbook 1.3.6.7.2', $this->quantiles());
        yield $this->noise();
    }

    /** @return iterable<array{float, float}> */
    private function posteriors(): iterable
    {
        for ($i = 0; $i < 60; $i++) {
            $faults = $this->random->getInt(3, 10);
            $findings = $this->random->getInt(2, 8);
            $names = static fn (string $of, int $n): array => array_map(static fn (int $k): string => "{$of}{$k}", range(1, $n));
            $priors = array_map(fn (): float => $this->between(0.01, 0.3), range(1, $faults));
            $leaks = array_map(fn (): float => $this->between(0.002, 0.05), range(1, $findings));
            $children = array_map(
                fn (): array => array_filter(array_map(
                    fn (): float => $this->random->getInt(0, 1) * $this->between(0.1, 0.95),
                    range(0, $findings - 1),
                )),
                range(1, $faults),
            );
            $network = Network::of($names('a', $faults), $priors, $names('f', $findings), $leaks, $children);
            $known = array_map(fn (): bool => $this->random->getInt(0, 1) === 1, array_flip($names('f', $findings)));
            $computed = Beliefs::of($network, $known)->now()->faults;
            $all = 0.0;
            $with = array_fill(0, $faults, 0.0);
            for ($set = 0; $set < 1 << $faults; $set++) {
                $p = 1.0;
                for ($k = 0; $k < $faults; $k++) {
                    $p *= ($set >> $k & 1) === 1 ? $priors[$k] : 1 - $priors[$k];
                }
                foreach (array_values($known) as $f => $there) {
                    $absent = 1 - $leaks[$f];
                    for ($k = 0; $k < $faults; $k++) {
                        $absent *= ($set >> $k & 1) === 1 ? 1 - ($children[$k][$f] ?? 0.0) : 1.0;
                    }
                    $p *= $there ? 1 - $absent : $absent;
                }
                $all += $p;
                for ($k = 0; $k < $faults; $k++) {
                    $with[$k] += ($set >> $k & 1) === 1 ? $p : 0.0;
                }
            }
            foreach ($with as $k => $sum) {
                yield [$computed[$k], $sum / $all];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    private function strings(): iterable
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
    private function platinum(): iterable
    {
        foreach ([
            -200 => 18.52,
            -100 => 60.26,
            -50 => 80.31,
            0 => 100.0,
            100 => 138.51,
            200 => 175.86,
            400 => 247.09,
            600 => 313.71,
            850 => 390.48,
        ] as $celsius => $ohm) {
            yield [
                self::number($this->compute('thermistor', ['model' => ['type' => 'rtd'], 'temperature_c' => $celsius]), 'resistance_ohm'),
                $ohm,
            ];
        }
    }

    /** @return iterable<array{float, float}> */
    private function roundTrips(): iterable
    {
        foreach ([
            ['type' => 'rtd'],
            ['type' => 'beta', 'r0_ohm' => 100_000, 'beta_k' => 3950],
            ['type' => 'steinhart-hart', 'a' => 0.000722378300319346, 'b' => 0.000216301852054578, 'c' => 9.2641025635702e-08],
        ] as $model) {
            foreach (range(-40, 290, 10) as $celsius) {
                $ohm = self::number($this->compute('thermistor', ['model' => $model, 'temperature_c' => $celsius]), 'resistance_ohm');
                yield [
                    self::number($this->compute('thermistor', ['model' => $model, 'resistance_ohm' => $ohm]), 'temperature_c') + 273.15,
                    $celsius + 273.15,
                ];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    private function contacts(): iterable
    {
        for ($i = 0; $i < 20; $i++) {
            [$ohm, $loss, $capacity, $contact] = [
                $this->between(2, 4),
                $this->between(0.3, 1.5),
                $this->between(400, 900),
                $this->between(0.02, 1),
            ];
            $time = static function (float $r) use ($ohm, $loss, $capacity): float {
                $slope = static fn (float $k): float => (576 * $ohm / ($ohm + $r) ** 2 - $loss * $k) / $capacity;
                for ($t = $k = 0.0, $dt = 0.05; $k < 40; $t += $dt) {
                    $before = $k;
                    [$a, $b] = [$slope($k), 0.0];
                    $b = $slope($k + $dt / 2 * $a);
                    $c = $slope($k + $dt / 2 * $b);
                    $k += $dt / 6 * ($a + 2 * $b + 2 * $c + $slope($k + $dt * $c));
                }

                return $t - $dt * ($k - 40) / ($k - $before);
            };
            yield [
                self::number(
                    $this->compute(
                        'contact-resistance',
                        [
                            'resistance_ohm' => $ohm,
                            'volts' => 24,
                            'baseline_s' => $time(0.0),
                            'today_s' => $time($contact),
                            'loss_w_per_k' => $loss,
                            'rise_c' => 40,
                        ],
                    ),
                    'contact_ohm',
                ),
                $contact,
            ];
        }
    }

    /** @return iterable<array{float, float}> */
    private function ampacities(): iterable
    {
        foreach (['1.5' => 22, '2.5' => 30, '4' => 40, '6' => 51, '10' => 70] as $area => $amps) {
            yield [
                self::number(
                    $this->compute('wire', ['area_mm2' => (float) $area, 'length_m' => 1, 'amps' => $amps, 'air_c' => 30]),
                    'rise_k',
                ),
                40.0,
            ];
        }
    }

    /** @return iterable<array{float, float}> */
    private function planes(): iterable
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
    private function parallelograms(): iterable
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

    /** @return iterable<array{float, float}> */
    private function relays(): iterable
    {
        foreach ([[100, 5], [60, 4], [200, 10]] as [$lag, $dead]) {
            foreach ([0.5, 0.35, 0.65] as $share) {
                [$low, $high] = [1e-3, M_PI / $dead];
                for ($i = 0; $i < 60; $i++) {
                    $omega = ($low + $high) / 2;
                    [$low, $high] = atan($omega * $lag) + $omega * $dead < M_PI ? [$omega, $high] : [$low, $omega];
                }
                $waits = array_fill(0, $dead * 10, 0.0);
                $csv = '';
                for ($i = 0, $y = 0.0; $i < 9000; $i++) {
                    $waits[] = $y < 200 * $share ? 200.0 : 0.0;
                    $y += 0.1 * (array_shift($waits) - $y) / $lag;
                    $csv .= $i >= 4000 && $i % 5 === 0 ? sprintf("%.1f,%.4f,%.3f\n", $i / 10, $y, 200 * $share) : '';
                }
                yield [self::number($this->compute('relay-tune', ['relay_amplitude' => 100, 'csv' => $csv]), 'tu_s'), 2 * M_PI / $low];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    private function files(): iterable
    {
        for ($file = 0; $file < 20; $file++) {
            $moves = [];
            $gcode = "G28\n";
            [$x, $y] = [100.0, 100.0];
            for ($i = 0; $i < 150; $i++) {
                [$length, $angle, $speed] = [
                    $i % 3 === 0 ? 0.2 * $this->random->getInt(1, 200) : 0.2 * $this->random->getInt(1, 5),
                    $this->between(0, 2 * M_PI),
                    (float) $this->random->getInt(20, 200),
                ];
                $moves[] = [$length, $angle, $speed];
                [$x, $y] = [$x + $length * cos($angle), $y + $length * sin($angle)];
                $gcode .= sprintf("G1 X%.6f Y%.6f F%d\n", $x, $y, 60 * $speed);
            }
            // the way to the first point is one of the moves
            array_unshift($moves, [hypot(100, 100), M_PI / 4, 25.0]);
            $gcode = str_replace("G28\n", "G28\nG1 X100 Y100 F1500\n", $gcode);
            yield [self::number($this->compute('gcode', ['gcode' => $gcode]), 'estimated_s'), PhasePlane::seconds($moves, 1000.0, 0.05)];
        }
    }

    /** @return iterable<array{float, float}> */
    private function demands(): iterable
    {
        for ($i = 0; $i < 30; $i++) {
            [$mean, $size, $n] = [$this->between(1, 30), $this->between(1.5, 12), $this->random->getInt(0, 40)];
            $law = DemandLaw::of($mean, $mean + $mean ** 2 / $size);
            $sum = 0.0;
            $gamma = 0.0;
            for ($k = 0, $m = 4000, $most = 8 * $mean + 20, $h = $most / $m; $k <= $m; $k++) {
                $rate = max(1e-12, $k * $h);
                $density = exp(($size - 1) * log($rate) - $size * $rate / $mean);
                $below = $term = exp(-$rate);
                for ($j = 1; $j <= $n; $j++) {
                    $below += $term *= $rate / $j;
                }
                $weight = $k === 0 || $k === $m ? 1 : ($k % 2 === 1 ? 4 : 2);
                $gamma += $weight * $density;
                $sum += $weight * $density * $below;
            }
            if ($law->size !== null) {
                yield [$law->atMost($n), $sum / $gamma];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    private function quantiles(): iterable
    {
        foreach ([
            [0.975, 1, 12.706],
            [0.975, 2, 4.303],
            [0.95, 5, 2.015],
            [0.99, 10, 2.764],
            [0.995, 30, 2.750],
        ] as [$p, $degrees, $quantile]) {
            yield [StudentT::quantile($p, $degrees), $quantile];
        }
    }

    private function noise(): Compared
    {
        $plan = [[1, 1, 1], [2, 1, 1], [1, 2, 1], [2, 2, 1], [1, 1, 2], [2, 1, 2], [1, 2, 2], [2, 2, 2]];
        $told = 0;
        for ($table = 0; $table < 1000; $table++) {
            $trials = array_map(
                fn (array $row): array => [
                    'settings' => ['a' => $row[0], 'b' => $row[1], 'c' => $row[2]],
                    'rating' => 3 + Pluck::normal($this->random),
                ],
                $plan,
            );
            $told += ($this->compute('trials', ['trials' => $trials])['matters'] ?? null) === null ? 0 : 1;
        }

        return new Compared(
            'trials',
            'ratings that are noise, eight prints without repeats',
            1000,
            sprintf('%.1f %% told to matter', $told / 10),
        );
    }

    private function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function compute(string $name, array $input): array
    {
        return $this->catalogue->named($name)->compute($input);
    }

    /** @param  array<array-key, mixed>  $of */
    private static function number(array $of, string $key): float
    {
        return is_int($of[$key] ?? null) || is_float($of[$key] ?? null) ? (float) $of[$key] : NAN;
    }
}
