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
                ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => 22.9, 'load_c' => 60, 'element' => 'copper', 'measured_c' => 20],
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
