<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

/** Resistances, warmth and contacts: published tables, and a heat-up integrated step by step. */
final readonly class ElectricReferences extends Asking
{
    /** @return iterable<array{float, float}> */
    public function platinum(): iterable
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
    public function roundTrips(): iterable
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
    public function contacts(): iterable
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
    public function ampacities(): iterable
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
}
