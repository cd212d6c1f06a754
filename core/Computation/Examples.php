<?php

declare(strict_types=1);

namespace OddBench\Computation;

/** An input that is well for each computation: where hostile ones start from, and what a script can begin with. */
final class Examples
{
    /** @return array<string, array<string, mixed>> name => input; files as the bytes that are in them */
    public static function all(): array
    {
        $log = [];
        for ($t = 0; $t <= 240; $t++) {
            $log[] = sprintf('%d,%.2f,200,%d', $t, $t < 40 ? 20 + 4.5 * $t : 200 + 4 * sin($t / 5), $t % 31 < 16 ? 127 : 0);
        }
        $csv = implode("\n", $log);

        $examples = [
            ...self::money(),
            ...self::fleet(),
            ...PlanExamples::all(),
            'bed-plane' => [
                'points' => [
                    ['x_mm' => 10, 'y_mm' => 10, 'z_mm' => 0.1],
                    ['x_mm' => 210, 'y_mm' => 10, 'z_mm' => -0.05],
                    ['x_mm' => 210, 'y_mm' => 210, 'z_mm' => 0.02],
                    ['x_mm' => 10, 'y_mm' => 210, 'z_mm' => 0.2],
                ],
                'screws' => [['name' => 'front left', 'x_mm' => 30, 'y_mm' => 30], ['name' => 'back right', 'x_mm' => 190, 'y_mm' => 190]],
                'pitch_mm' => 0.7,
            ],
            'belt-tension' => [
                'span_mm' => 150,
                'frequency_hz' => 110,
                'belt' => ['width_mm' => 6],
                'moving_mass_kg' => 0.4,
                'acceleration_mm_s2' => 3000,
                'friction_n' => 2,
                'reference_hz' => 105,
            ],
            'complaint' => ['text' => 'It clicks at the extruder and nothing comes out after an hour.', 'traits' => ['hotend' => 'lined']],
            'contact-resistance' => [
                'resistance_ohm' => 2.618,
                'volts' => 24,
                'baseline_s' => 240,
                'today_s' => 300,
                'loss_w_per_k' => 1.2,
                'rise_c' => 40,
                'target_c' => 60,
                'baseline_start_c' => 20,
                'start_c' => 20,
            ],
            'diagnose' => [
                'traits' => ['hotend' => 'lined', 'motion' => 'corexy'],
                'findings' => ['jams-when-warm' => 'present', 'break-fan-dead' => 'absent'],
                'history' => ['jobs' => 20, 'faults' => ['break-fan-failed' => 2]],
                'school' => 'measure-first',
                'rates' => ['bench_minute' => 0.9],
                'on_shelf' => [],
                'untold' => 'weigh',
            ],
            'fastener' => [
                'length_mm' => 12,
                'diameter_mm' => 3,
                'head' => 'cylinder',
                'replaces' => 'M3×10',
                'into' => 'metal',
                'engagement_mm' => 5,
                'room_mm' => 4,
            ],
            'filament' => ['density_g_cm3' => 1.24, 'diameter_mm' => 1.75, 'length_m' => 330, 'price_per_kg' => 22],
            'first-layer' => ['nozzle_mm' => 0.4, 'layer_mm' => 0.2, 'line_width_mm' => 0.45, 'filament_mm' => 1.75, 'measured_mm' => 0.21],
            'flex-slab' => [
                'bed_x_mm' => 220,
                'bed_y_mm' => 220,
                'axis' => 'x',
                'share' => 0.9,
                'layers_mm' => [0.25, 0.25],
                'nozzle_c' => 210,
                'bed_c' => 60,
            ],
            'gcode' => [
                'gcode' => "G21\nG90\nM83\nM104 S210\nG28\nG0 X10 Y20 Z0.2 F6000\nG1 X110 E4 F1800\nG3 X110 Y60 I0 J20 E2\nG1 E-1\nG4 P500\n",
                'bed_x_mm' => 220,
                'bed_y_mm' => 220,
                'bed_z_mm' => 250,
            ],
            'heater' => ['volts' => 24, 'rated_w' => 40, 'measured_ohm' => 14.6],
            'hours-now' => [
                'counters' => [
                    ['at' => '2026-08-01', 'hours' => 660],
                    ['at' => '2026-09-05T10:30:00+02:00', 'hours' => 940],
                    ['at' => '2026-10-03', 'hours' => 1200],
                ],
                'asked_at' => '2026-11-27',
                'usual' => ['hours_per_week' => 50, 'spread_hours' => 20],
            ],
            'kit-check' => [
                'kit' => [['part' => 'liner', 'count' => 1], ['part' => 'clip', 'count' => 2]],
                'stock' => [
                    ['part' => 'liner', 'free' => 0, 'substitutes' => ['liner long'], 'due' => '2026-12-04'],
                    ['part' => 'liner long', 'free' => 3],
                    ['part' => 'clip', 'free' => 9],
                ],
            ],
            'pluck-frequency' => ['wav_file' => self::wav()],
            'proof-plan' => ['traits' => ['bed_supply' => '24 V'], 'touched' => ['hotend'], 'mended' => ['break-fan-failed']],
            'relay-tune' => ['relay_amplitude' => 63.5, 'csv' => $csv],
            'reorder' => [
                'history' => [0, 1, 0, 0, 2, 0, 1],
                'lead_time_weeks' => 2,
                'lead_time_sd_weeks' => 0.5,
                'service_level' => 0.95,
                'pack_size' => 5,
                'on_hand' => 3,
                'reserved' => 1,
                'on_order' => 0,
                'planned' => 1,
                'order_cost' => 6,
                'holding_pct_year' => 20,
                'unit_cost' => 2.5,
                'review_weeks' => 1,
            ],
            'runaway-test' => [
                'lines' => [
                    'T:200.0 /200.0 @:60',
                    'T:199.5 /200.0 @:64',
                    'T:190.0 /200.0 @:127',
                    'T:180.0 /200.0 @:127',
                    'Error:Thermal Runaway, system stopped! Heater_ID: 0',
                    'T:170.0 /0.0 @:0',
                ],
                'interval_s' => 5,
                'channel' => 'T',
                'cooling_began_s' => 5,
                'period_s' => 20,
                'hysteresis_c' => 4,
            ],
            'squareness' => ['side_a_mm' => 200, 'side_b_mm' => 150, 'diagonal_1_mm' => 250.2, 'diagonal_2_mm' => 249.8],
            'steps' => ['type' => 'extruder', 'current_steps_per_mm' => 93, 'asked_mm' => 100, 'got_mm' => [96.1, 96.5]],
            'teardown' => [
                'steps' => [
                    ['id' => 'cover', 'off' => 'Cover', 'fasteners' => [['size' => 'M3x8', 'count' => 4]], 'connectors' => ['fan']],
                    ['id' => 'board', 'off' => 'Board', 'after' => ['cover']],
                ],
                'done' => [['id' => 'board']],
            ],
            'thermal-log' => ['csv' => $csv],
            'thermistor' => [
                'model' => [
                    'type' => 'steinhart-hart',
                    'a' => 0.000722378300319346,
                    'b' => 0.000216301852054578,
                    'c' => 9.2641025635702e-08,
                ],
                'resistance_ohm' => 98_000,
                'ambient_c' => 24,
                'adc' => ['bits' => 12, 'pullup_ohm' => 4700],
            ],
            'trials' => ['trials' => [
                ['settings' => ['speed' => 60, 'fan' => 'on'], 'rating' => 2, 'band_mm' => [0, 10]],
                ['settings' => ['speed' => 40, 'fan' => 'on'], 'rating' => 4],
                ['settings' => ['speed' => 40, 'fan' => 'off'], 'rating' => 3, 'stopped' => true],
            ]],
            'wire' => ['area_mm2' => 1.5, 'length_m' => 0.6, 'amps' => 9, 'volts' => 24, 'conductor_c' => 40],
        ];
        ksort($examples);

        return $examples;
    }

    /** A tone of 110 Hz that begins at once and dies away, 16-bit at 8 kHz. */
    private static function wav(): string
    {
        $data = '';
        for ($i = 0; $i < 8000; $i++) {
            $data .= pack('v', ((int) round($i < 1000 ? 0 : 26_000 * exp(-($i - 1000) / 3000) * sin(2 * M_PI * 110 * $i / 8000))) & 0xFFFF);
        }

        return 'RIFF'.pack('V', 36 + strlen($data)).'WAVEfmt '.pack(
            'VvvVVvv',
            16,
            1,
            1,
            8000,
            16_000,
            2,
            16,
        ).'data'.pack('V', strlen($data)).$data;
    }

    /** @return array<string, array<string, mixed>> */
    private static function fleet(): array
    {
        return [
            'campaign' => ['fleet' => 29, 'looked' => 11, 'affected' => 3, 'level' => 0.95],
            'failure-risk' => ['shape' => 2.5, 'scale_h' => 2817.651, 'age_h' => 2000, 'next_h' => 240],
            'planned-change' => ['shape' => 2.5, 'scale_h' => 2817.651, 'planned_cost' => 1770, 'failure_cost' => 7770],
            'spares-forecast' => ['parts' => array_map(
                static fn (int $age): array => ['shape' => 2.5, 'scale_h' => 2817.651, 'age_h' => $age, 'hours_ahead' => 160],
                [500, 1500, 2000, 2400, 3100],
            )],
            'trend' => ['at_h' => [5, 40, 43, 175, 389, 712, 747, 795, 1299, 1478], 'until_h' => 1500],
            'wear-life' => [
                'failed_h' => [54, 187, 216, 240, 244, 335],
                'running_h' => [500, 500, 480],
                'entered_h' => [0, 0, 0, 0, 100, 0, 0, 0, 20],
                'usual_life_h' => 450,
                'shape' => 2,
                'prior_failures' => 2,
                'method' => 'auto',
            ],
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private static function money(): array
    {
        return [
            'bid-cap' => [
                'stages' => [
                    ['name' => 'moves', 'cost' => 1200, 'passes' => 0.9, 'fallback' => 9000, 'end' => 'split'],
                    ['name' => 'prints', 'cost' => 3000, 'passes' => 0.85, 'fallback' => 9000, 'end' => 'split'],
                    ['name' => 'all slots', 'cost' => 4500, 'passes' => 0.8, 'fallback' => 21000, 'end' => 'single'],
                ],
                'sells_at' => 30000,
                'costs' => 0,
                'margin' => 4000,
            ],
            'charge' => [
                'hands_minutes' => 47,
                'rate_per_minute' => 90,
                'parts' => [['count' => 1, 'cost' => 930, 'markup_pct' => 35]],
                'freight' => 250,
                'tax_pct' => 19,
                'minimum' => 2500,
            ],
            'claim-value' => ['chance' => 0.2, 'worth' => 4500, 'effort' => 0, 'idle_days' => 14, 'day_costs' => 600],
            'cost-split' => [
                'paid' => 22500,
                'pieces' => [['name' => 'feeder', 'worth' => 12500], ['name' => 'printer', 'worth' => 29000]],
                'school' => 'relative-worth',
            ],
            'estimate' => [
                'rate_per_minute' => 90,
                'find_minutes' => 12,
                'lines' => [
                    ['code' => 'partial-clog', 'probability' => 0.62, 'minutes' => 20, 'parts' => 900],
                    ['code' => 'heatbreak-worn', 'probability' => 0.28, 'minutes' => 40, 'parts' => 6800],
                    ['code' => 'something-else', 'probability' => 0.1, 'minutes' => 15, 'parts' => 600],
                ],
                'share' => 0.8,
            ],
            'repair-value' => [
                'sells_at' => 18000,
                'further' => 8561,
                'donor' => 6200,
                'as_is' => 5000,
                'chance' => 0.9,
                'weeks' => 3,
                'week_costs' => 150,
            ],
            'storage-due' => [
                'ready_on' => '2026-09-01',
                'asked_on' => '2026-11-30',
                'free_days' => 30,
                'per_day' => 100,
                'charged' => 5486,
            ],
        ];
    }
}
