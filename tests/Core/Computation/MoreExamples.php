<?php

declare(strict_types=1);

namespace Tests\Core\Computation;

/** Further inputs that are well, for the turns a computation takes that its one example does not. */
final class MoreExamples
{
    /** @return array<string, list<array<string, mixed>>> */
    public static function all(): array
    {
        return [
            ...self::instruments(),
            ...self::logs(),
            'diagnose' => [
                [
                    'findings' => ['finding-0' => 'present', 'finding-2' => 'present', 'finding-5' => 'absent'],
                    'school' => 'swap-first',
                    'red_tag' => false,
                    'hidden' => ['check-1'],
                    'ruled_out' => ['fault-3'],
                ],
                ['findings' => ['finding-7' => 'present'], 'rates' => ['bench_minute' => 2.5], 'untold' => 'unknown'],
                ['findings' => [], 'red_tag' => true],
            ],
            'campaign' => [
                ['fleet' => 80, 'looked' => 70, 'affected' => 3],
                ['fleet' => 12, 'looked' => 0, 'affected' => 0, 'level' => 0.8],
            ],
            'failure-risk' => [['shape' => 0.8, 'scale_h' => 900, 'age_h' => 0, 'next_h' => 40]],
            'planned-change' => [
                ['shape' => 1, 'scale_h' => 5000, 'planned_cost' => 500, 'failure_cost' => 7000],
                ['shape' => 3, 'scale_h' => 600, 'planned_cost' => 900, 'failure_cost' => 800],
                ['shape' => 1.05, 'scale_h' => 600, 'planned_cost' => 900, 'failure_cost' => 905],
            ],
            'trend' => [['at_h' => [300, 600, 700, 760, 790], 'until_h' => 800], ['at_h' => [10], 'until_h' => 20]],
            'wear-life' => [
                ['failed_h' => [1900, 2100], 'running_h' => [800, 2600], 'usual_life_h' => 2500],
                ['failed_h' => [], 'running_h' => [], 'usual_life_h' => 2500, 'method' => 'weibayes'],
                ['failed_h' => [54, 187, 216, 240, 244, 335, 361, 373, 375, 386], 'running_h' => array_fill(0, 10, 500), 'method' => 'ml'],
            ],
            'kit-check' => [[
                'kit' => [['part' => 'fan', 'count' => 3]],
                'stock' => [['part' => 'fan', 'free' => 1], ['part' => 'fan 24 V', 'free' => 1, 'due' => '2026-12-24']],
            ]],
            'reorder' => [
                [
                    'demand_per_week' => 0.8,
                    'lead_time_weeks' => 3,
                    'service_level' => 0.9,
                    'pack_size' => 10,
                    'on_hand' => 0,
                    'shelf_life_weeks' => 26,
                    'most_to_spend' => 40,
                    'unit_cost' => 3,
                ],
                [
                    'history' => [3, 2, 4, 0, 1, 5, 2, 3],
                    'smoothing' => 0.3,
                    'lead_time_weeks' => 1,
                    'service_level' => 0.99,
                    'pack_size' => 1,
                    'on_hand' => 2,
                    'order_cost' => 8,
                    'holding_pct_year' => 25,
                    'unit_cost' => 1.2,
                    'last_of_kind' => 'fan 12 V',
                ],
            ],
            'teardown' => [[
                'steps' => [
                    [
                        'id' => 'guard',
                        'off' => 'Guard',
                        'fasteners' => [
                            ['size' => 'M3x10', 'count' => 2, 'into' => 'plastic', 'engagement_mm' => 6, 'room_mm' => 8],
                            ['size' => 'M4x16', 'count' => 1, 'missing' => 1],
                        ],
                        'parts' => ['fan', 'duct'],
                    ],
                    ['id' => 'block', 'off' => 'Block', 'connectors' => ['heater', 'sensor']],
                    ['id' => 'board', 'off' => 'Board', 'after' => ['guard']],
                ],
                'done' => [[
                    'id' => 'board',
                    'fasteners' => [['size' => 'M3x10', 'count' => 1]],
                    'connectors' => ['heater'],
                    'parts' => [['part' => 'fan', 'now' => 'new']],
                    'pass' => 'first',
                ]],
            ]],
            'trials' => [
                ['plan' => ['speed' => [40, 60], 'fan' => ['off', 'on'], 'nozzle' => [205, 215]], 'trials' => []],
                ['trials' => array_map(static fn (int $i): array => [
                    'settings' => ['speed' => $i & 1 ? 60 : 40, 'fan' => $i & 2 ? 'on' : 'off', 'nozzle' => $i & 4 ? 215 : 205],
                    'rating' => [3, 1, 4, 2, 4, 2, 5, 2][$i],
                    'band_mm' => [10 * $i, 10 * $i + 8],
                ], range(0, 7))],
            ],
        ];
    }

    /**
     * Inputs that are asked as they are, without what lies beside them: sweeps through tables and ranges.
     *
     * @return array<string, list<array<string, mixed>>>
     */
    public static function sweeps(): array
    {
        $screws = $dry = $steps = $wires = $heaters = $contacts = $belts = $layers = $sensors = [];
        foreach ([1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 12] as $diameter) {
            foreach (['cylinder', 'button', 'countersunk'] as $head) {
                foreach ([2, 2.4, 3, 4, 5, 6, 8, 10, 12, 15.8, 20, 25, 30, 31, 40, 50, 60, 80, 90, 100, 110, 121] as $length) {
                    $screws[] = ['length_mm' => $length, 'diameter_mm' => $diameter, 'head' => $head];
                }
            }
        }
        foreach (['PLA', 'PETG', 'ABS', 'ASA', 'TPU', 'PA', 'PC'] as $material) {
            $dry[] = ['material' => $material];
        }
        foreach ([91.2, 93.1, 95, 97.9, 99, 100, 101, 103, 120] as $got) {
            $steps[] = ['type' => 'extruder', 'current_steps_per_mm' => 415, 'asked_mm' => 100, 'got_mm' => [$got, $got + 0.4, $got - 0.3]];
        }
        foreach ([0.3, 1, 3, 6, 10, 16, 25] as $amps) {
            foreach ([['awg' => 22], ['awg' => 16], ['area_mm2' => 0.5], ['area_mm2' => 2.5]] as $size) {
                $wires[] = [...$size, 'length_m' => 0.8, 'amps' => $amps, 'volts' => 24, 'air_c' => 30];
            }
        }
        foreach ([0, 0.4, 1.8, 2.1, 2.3, 2.4, 2.5, 2.7, 3.1, 5, 400] as $ohm) {
            $heaters[] = ['volts' => 24, 'rated_w' => 240, 'measured_ohm' => $ohm];
            $heaters[] = ['volts' => 24, 'rated_w' => 240, 'measured_ohm' => $ohm, 'element' => 'copper', 'measured_c' => 35];
        }
        foreach ([230, 245, 260, 290, 340, 600] as $today) {
            $plain = ['resistance_ohm' => 2.6, 'volts' => 24, 'baseline_s' => 240, 'today_s' => $today];
            $contacts[] = $plain;
            $contacts[] = $plain + ['rise_c' => 40, 'loss_w_per_k' => 1.2];
            $contacts[] = $plain + ['rise_c' => 40, 'loss_w_per_k' => 1.2, 'heat_capacity_j_per_k' => 700];
            $contacts[] = $plain + ['target_c' => 60, 'baseline_start_c' => 20, 'start_c' => 26];
            $contacts[] = $plain + ['target_c' => 60, 'baseline_start_c' => 20];
            $contacts[] = $plain + ['target_c' => 60, 'start_c' => 60];
            $contacts[] = $plain + ['element' => 'copper', 'measured_c' => 22, 'start_c' => 22, 'target_c' => 60, 'baseline_start_c' => 21];
            $contacts[] = $plain + ['element' => 'copper', 'measured_c' => 22, 'rise_c' => 38];
            $contacts[] = ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => 24 - $today / 200];
        }
        foreach ([40, 60, 80, 100, 120, 160, 240] as $hz) {
            $belts[] = ['span_mm' => 250, 'frequency_hz' => $hz, 'belt' => ['width_mm' => 6], 'moving_mass_kg' => 0.6,
                'acceleration_mm_s2' => 4000, 'friction_n' => 1.5, 'reference_hz' => 100];
        }
        foreach ([0.05, 0.1, 0.15, 0.19, 0.2, 0.21, 0.25, 0.3, 0.33, 0.4] as $height) {
            $layers[] = ['nozzle_mm' => 0.4, 'layer_mm' => $height, 'line_width_mm' => 0.44, 'filament_mm' => 1.75, 'measured_mm' => 0.2];
        }
        foreach ([0, 40, 100, 800, 5000, 40_000, 95_000, 100_000, 120_000, 400_000, 8_000_000] as $ohm) {
            $sensors[] = ['model' => ['type' => 'beta', 'r0_ohm' => 100_000, 'beta_k' => 3950], 'resistance_ohm' => $ohm, 'ambient_c' => 22,
                'adc' => ['bits' => 10, 'pullup_ohm' => 4700]];
            $sensors[] = ['model' => ['type' => 'rtd'], 'resistance_ohm' => $ohm / 1000, 'ambient_c' => 22];
        }

        return [
            'belt-tension' => $belts,
            'contact-resistance' => $contacts,
            'fastener' => $screws,
            'filament' => $dry,
            'first-layer' => $layers,
            'heater' => $heaters,
            'pluck-frequency' => self::plucks(),
            'steps' => $steps,
            'thermistor' => $sensors,
            'wire' => $wires,
        ];
    }

    /** @return list<array<string, mixed>> belts of several pitches as several recorders keep them, one of them with hum */
    private static function plucks(): array
    {
        $plucks = [];
        foreach ([
            [8000, 16, 45],
            [11_025, 16, 82.4],
            [44_100, 16, 110],
            [22_050, 24, 220],
            [16_000, 8, 330],
            [48_000, 16, 60],
        ] as [$rate, $bits, $hz]) {
            $data = '';
            for ($i = 0; $i < $rate; $i++) {
                $t = $i / $rate;
                $tone = $t < 0.12
                    ? 0.0
                    : exp(-($t - 0.12) / 0.3) * (sin(2 * M_PI * $hz * $t) + 0.4 * sin(4 * M_PI * $hz * $t) + 0.2 * sin(6 * M_PI * $hz * $t)) / 1.7;
                $tone += ($hz === 60 ? 0.05 : 0.002) * sin(2 * M_PI * 50 * $t);
                $data .= match ($bits) {
                    8 => chr((int) round(128 + 120 * $tone)),
                    16 => pack('v', ((int) round(26_000 * $tone)) & 0xFFFF),
                    default => substr(pack('V', ((int) round(6_600_000 * $tone)) & 0xFFFFFF), 0, 3),
                };
            }
            $wide = intdiv($bits, 8);
            $plucks[] = ['wav_file' => 'RIFF'.pack('V', 36 + strlen($data)).'WAVEfmt '
                .pack('VvvVVvv', 16, 1, 1, $rate, $rate * $wide, $wide, $bits).'data'.pack('V', strlen($data)).$data];
        }

        return $plucks;
    }

    /** @return array<string, list<array<string, mixed>>> */
    private static function instruments(): array
    {
        $points = [];
        foreach ([20, 110, 200] as $x) {
            foreach ([20, 110, 200] as $y) {
                $points[] = ['x_mm' => $x, 'y_mm' => $y, 'z_mm' => 0.001 * $x - 0.0005 * $y + ($x === $y ? 0.02 : 0)];
            }
        }
        $screws = [
            ['name' => 'front left', 'x_mm' => 30, 'y_mm' => 30],
            ['name' => 'front right', 'x_mm' => 190, 'y_mm' => 30],
            ['name' => 'back', 'x_mm' => 110, 'y_mm' => 190],
        ];

        return [
            'bed-plane' => [
                ['points' => $points, 'screws' => $screws, 'pitch_mm' => 0.5, 'reference' => 'front left'],
                ['points' => $points, 'screws' => $screws, 'pitch_mm' => 0.7, 'school' => 'mean-plane'],
            ],
            'belt-tension' => [['span_mm' => 200, 'frequency_hz' => 80, 'mass_g_per_m' => 8.4]],
            'contact-resistance' => [
                [
                    'resistance_ohm' => 2.6,
                    'volts' => 24,
                    'volts_at_load' => 22.9,
                    'load_c' => 60,
                    'element' => 'copper',
                    'measured_c' => 20,
                ],
            ],
            'fastener' => [
                ['length_mm' => 19.6, 'diameter_mm' => 3.9, 'head' => 'countersunk'],
                ['length_mm' => 8, 'diameter_mm' => 2.9, 'head' => 'button', 'into' => 'plastic', 'engagement_mm' => 4],
            ],
            'filament' => [
                ['density_g_cm3' => 1.27, 'diameter_mm' => 1.75, 'mass_g' => 750],
                ['density_g_cm3' => 1.04, 'diameter_mm' => 2.85, 'volume_cm3' => 120, 'price_per_kg' => 19.5],
                ['diameters_mm' => [[1.74, 1.77], [1.72, 1.75], [1.76, 1.76]], 'diameter_mm' => 1.75],
                ['mass_before_g' => 1000, 'mass_after_g' => 996],
                ['material' => 'petg'],
            ],
            'first-layer' => [['nozzle_mm' => 0.6, 'layer_mm' => 0.3, 'line_width_mm' => 0.7, 'filament_mm' => 2.85]],
            'flex-slab' => [
                [
                    'bed_x_mm' => 300,
                    'bed_y_mm' => 180,
                    'axis' => 'y',
                    'length_mm' => 150,
                    'width_mm' => 25,
                    'feed_mm_s' => 80,
                    'nozzle_c' => 230,
                    'bed_c' => 70,
                    'origin' => 'middle',
                ],
            ],
            'gcode' => [[
                'gcode' => "G90\nM82\nM109 S205\nM190 S60\nG28 X Y\nG1 Z0.3 F600\nG1 X50 Y50 E2 F1200\nG2 X70 Y50 I10 J0 E3\nG92 E0\n"
                    ."M106 S255\nG1 X-5 Y50 E1\nG1 X20 Y20 Z400\nG91\nG1 X5 E0.2\nG10\nG11\nM104 S0\nM107\nM84\n",
                'bed_x_mm' => 180,
                'bed_y_mm' => 180,
                'bed_z_mm' => 180,
                'acceleration_mm_s2' => 1500,
                'junction_deviation_mm' => 0.02,
                'origin' => 'corner',
            ]],
            'heater' => [['volts' => 24, 'rated_w' => 240, 'measured_ohm' => 2.9, 'element' => 'copper', 'measured_c' => 60]],
            'steps' => [
                ['type' => 'belt', 'motor_steps' => 200, 'microsteps' => 16, 'pitch_mm' => 2, 'teeth' => 20],
                ['type' => 'screw', 'motor_steps' => 400, 'microsteps' => 32, 'lead_mm' => 8],
            ],
            'thermistor' => [
                ['model' => ['type' => 'beta', 'r0_ohm' => 100_000, 't0_c' => 25, 'beta_k' => 3950], 'temperature_c' => 210],
                ['model' => ['type' => 'rtd', 'r0_ohm' => 1000], 'resistance_ohm' => 1790, 'ambient_c' => 21],
                ['model' => ['type' => 'beta', 'r0_ohm' => 10_000, 'beta_k' => 3435], 'resistance_ohm' => 10_400, 'ambient_c' => 24,
                    'adc' => ['bits' => 10, 'pullup_ohm' => 4700]],
            ],
            'wire' => [['awg' => 16, 'length_m' => 1.2, 'amps' => 12, 'volts' => 12, 'air_c' => 45]],
        ];
    }

    /** @return array<string, list<array<string, mixed>>> */
    private static function logs(): array
    {
        $steady = $drifting = $falling = [];
        for ($t = 0; $t <= 300; $t += 2) {
            $actual = $t < 60 ? 25 + 3 * $t : 205 + 0.6 * sin($t / 6);
            $steady[] = sprintf('%d,%.2f,205,%d', $t, $actual, $t < 60 ? 127 : 60);
            $drifting[] = sprintf('%d,%.2f,205,%d', $t, $t < 60 ? 25 + 3 * $t : 205 - 0.08 * ($t - 60), 127);
            $falling[] = sprintf('%d,%.2f,205,%d', $t, $t < 60 ? 25 + 3 * $t : max(60, 205 - 2 * ($t - 60)), $t < 90 ? 127 : 0);
        }
        $lines = array_map(static fn (int $i): string => sprintf(
            'T:%.1f /210.0 B:%.1f /60.0 @:%d B@:%d',
            min(210, 30 + 6 * $i) + 0.4 * ($i % 3),
            min(60, 22 + $i),
            $i < 30 ? 127 : 50,
            80,
        ), range(0, 80));

        return [
            'relay-tune' => [['relay_amplitude' => 63.5, 'amplitude_c' => 3.2, 'period_s' => 24]],
            'runaway-test' => [
                [
                    'csv' => implode("\n", $falling),
                    'cooling_began_s' => 60,
                    'period_s' => 20,
                    'hysteresis_c' => 4,
                    'halted_at_s' => 95,
                    'halted_said' => 'stopped',
                ],
                ['csv' => implode("\n", $steady), 'cooling_began_s' => 100, 'period_s' => 30, 'hysteresis_c' => 2],
            ],
            'thermal-log' => [
                ['csv' => implode("\n", $steady)],
                ['csv' => implode("\n", $drifting)],
                ['csv' => implode("\n", $falling)],
                ['lines' => $lines, 'interval_s' => 2, 'channel' => 'T'],
                ['lines' => $lines, 'interval_s' => 2, 'channel' => 'B'],
            ],
        ];
    }
}
