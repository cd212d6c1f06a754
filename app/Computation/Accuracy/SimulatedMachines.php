<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Computation\Catalogue;
use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Rig\Fault;
use OddBench\Rig\Measured;

/** Simulated machines, well and with a hidden fault, judged by the instruments alone. */
final readonly class SimulatedMachines
{
    private const MODEL = ['type' => 'beta', 'r0_ohm' => 100_000, 'beta_k' => 3950];

    /** Which instrument has which fault to find; the others have no instrument that looks at them. */
    private const FINDS = [
        'thermistor-open' => ['thermistor', 'thermal-log, hot end'],
        'thermistor-short' => ['thermistor', 'thermal-log, hot end'],
        'thermistor-drifting' => ['thermistor'],
        'heater-weak' => ['heater'],
        'heater-open' => ['heater', 'thermal-log, hot end'],
        'bed-contact' => ['contact-resistance'],
        'part-clog' => ['steps'],
        'belt-slack' => ['belt-tension'],
        'no-runaway-protection' => ['runaway-test'],
        'thermistor-loose' => ['thermal-log, hot end, moving'],
        'bed-wire-broken' => ['thermal-log, bed, moving'],
    ];

    /** @param  int  $seeds  machines of each kind */
    public function __construct(private Catalogue $catalogue, private int $seeds = 20)
    {
    }

    /** @return list<array{fault: string, instrument: string, machines: int, ok: int, unsettled: int}> ok: called well though it is not */
    public function bad(): array
    {
        $rows = [];
        foreach (Fault::cases() as $fault) {
            foreach (self::FINDS[$fault->value] ?? [] as $instrument) {
                [$ok, $unsettled] = [0, 0];
                for ($seed = 1; $seed <= $this->seeds; $seed++) {
                    $verdict = $this->verdict($instrument, [$fault], $seed);
                    $ok += in_array($verdict, ['ok', 'watch'], true) ? 1 : 0;
                    $unsettled += $verdict === 'inconclusive' ? 1 : 0;
                }
                $rows[] = [
                    'fault' => $fault->value,
                    'instrument' => $instrument,
                    'machines' => $this->seeds,
                    'ok' => $ok,
                    'unsettled' => $unsettled,
                ];
            }
        }

        return $rows;
    }

    /** @return list<string> hidden faults no instrument looks at: eyes and proofs find them */
    public function unseen(): array
    {
        return array_values(array_diff(array_column(Fault::cases(), 'value'), array_keys(self::FINDS)));
    }

    /** @return list<array{instrument: string, machines: int, alarms: int, unsettled: int}> of machines that are well */
    public function well(): array
    {
        $rows = [];
        foreach (array_values(array_unique(array_merge(...array_values(self::FINDS)))) as $instrument) {
            [$alarms, $unsettled] = [0, 0];
            for ($seed = 1; $seed <= $this->seeds; $seed++) {
                $verdict = $this->verdict($instrument, [], 1000 + $seed);
                $alarms += in_array($verdict, ['out', 'danger'], true) ? 1 : 0;
                $unsettled += $verdict === 'inconclusive' ? 1 : 0;
            }
            $rows[] = ['instrument' => $instrument, 'machines' => $this->seeds, 'alarms' => $alarms, 'unsettled' => $unsettled];
        }

        return $rows;
    }

    /** @param  list<Fault>  $faults */
    private function verdict(string $instrument, array $faults, int $seed): string
    {
        $measured = new Measured($faults, $seed);
        try {
            $verdict = $this->judged($instrument, $measured, $seed)['verdict'] ?? null;
        } catch (InputError) {
            // it says what is wrong with the figures and gives no verdict
            return 'inconclusive';
        }

        return is_string($verdict) ? $verdict : 'inconclusive';
    }

    /** @return array<string, mixed> */
    private function judged(string $instrument, Measured $measured, int $seed): array
    {
        return match ($instrument) {
            'thermistor' => $this->compute(
                'thermistor',
                ['model' => self::MODEL, 'resistance_ohm' => round($measured->sensorOhm(), 1), 'ambient_c' => round($measured->roomC())],
            ),
            'heater' => $this->compute('heater', ['volts' => 24, 'rated_w' => 40, 'measured_ohm' => round($measured->heaterOhm(), 1)]),
            'thermal-log, hot end' => $this->compute(
                'thermal-log',
                ['lines' => $measured->heatUp('hotend', 200.0, 400.0), 'interval_s' => 1],
            ),
            'thermal-log, hot end, moving' => $this->compute(
                'thermal-log',
                ['lines' => $measured->heldMoving('hotend', 200.0), 'interval_s' => 1],
            ),
            'thermal-log, bed, moving' => $this->compute(
                'thermal-log',
                ['lines' => $measured->heldMoving('bed', 60.0), 'interval_s' => 1, 'channel' => 'B'],
            ),
            'runaway-test' => $this->compute(
                'runaway-test',
                [
                    'lines' => $measured->cooled('hotend', 200.0, 300.0, 480.0),
                    'interval_s' => 1,
                    'cooling_began_s' => 300,
                    'period_s' => 45,
                    'hysteresis_c' => 4,
                ],
            ),
            'contact-resistance' => $this->compute('contact-resistance', [
                'resistance_ohm' => 2.618,
                'volts' => 24,
                'baseline_s' => round((new Measured([], $seed))->bedSeconds(60.0) ?? 1.0),
                'today_s' => round($measured->bedSeconds(60.0) ?? 20_000.0),
                'target_c' => 60, 'baseline_start_c' => round($measured->roomC()), 'start_c' => round($measured->roomC()),
            ]),
            'steps' => $this->compute(
                'steps',
                [
                    'type' => 'extruder',
                    'current_steps_per_mm' => 93,
                    'asked_mm' => 100,
                    'got_mm' => array_map(static fn (float $mm): float => round($mm, 1), $measured->fed()),
                ],
            ),
            default => $this->belt($measured),
        };
    }

    /** @return array<string, mixed> */
    private function belt(Measured $measured): array
    {
        $heard = $this->compute('pluck-frequency', ['wav_file' => Contents::text($measured->pluck())]);

        return ($heard['confidence'] ?? 0.0) < 0.3 ? ['verdict' => 'inconclusive'] : $this->compute(
            'belt-tension',
            ['span_mm' => 150, 'frequency_hz' => $heard['frequency_hz'], 'belt' => ['width_mm' => 6], 'reference_hz' => 110],
        );
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function compute(string $name, array $input): array
    {
        return $this->catalogue->named($name)->compute($input);
    }
}
