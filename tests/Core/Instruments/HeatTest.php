<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\Contents;
use OddBench\Rig\Pluck;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Thermal log, relay tune and runaway test, against closed-form curves. */
final class HeatTest extends InstrumentTestCase
{
    public function test_a_first_order_heat_up_rises_when_its_exponential_says(): void
    {
        // T = 20 + 190 (1 − e^(−t/40)) towards 210 °C, held once there: within 1 °C at t = 40 ln 190 = 209.88 s
        $csv = "time_s,actual_c,target_c\n";
        for ($t = 0; $t <= 400; $t++) {
            $csv .= sprintf("%d,%.6f,%d\n", $t, 20 + 190 * (1 - exp(-$t / 40)), 210);
        }
        $result = $this->compute('thermal-log', ['csv' => $csv]);

        self::assertSame((float) ceil(40 * log(190)), $result['rise_s']);
        self::assertSame(0.0, $result['overshoot_c']);
        self::assertSame($result['rise_s'], $result['settle_s']);
        self::assertSame('ok', $result['verdict']);
    }

    public function test_a_damped_oscillation_overshoots_and_settles_where_its_envelope_says(): void
    {
        // T = 200 + 12 e^(−t/30) cos(2πt/20) from t = 0 of the target on, begun 12 °C above after the rise
        $rows = [];
        for ($t = 0; $t <= 40; $t++) {
            $rows[] = [$t, 20 + 4.5 * $t, 200];
        }
        for ($t = 1; $t <= 300; $t++) {
            $rows[] = [40 + $t, 200 + 12 * exp(-$t / 30) * sin(2 * M_PI * $t / 20), 200];
        }
        $result = $this->compute(
            'thermal-log',
            ['csv' => implode("\n", array_map(static fn (array $r): string => implode(',', $r), $rows))],
        );

        // first crest near a quarter period: 12 e^(−5/30) = 10.16; it leaves ±1 °C last where 12 e^(−t/30)|sin| passes 1
        self::assertEqualsWithDelta(40.0, $result['rise_s'], 1e-9);
        self::assertEqualsWithDelta(12 * exp(-5 / 30), $result['overshoot_c'], 0.05);
        $last = 0;
        for ($t = 1; $t <= 300; $t++) {
            $last = abs(12 * exp(-$t / 30) * sin(2 * M_PI * $t / 20)) > 1 ? $t : $last;
        }
        self::assertEqualsWithDelta(40 + $last + 1, $result['settle_s'], 1e-9);
        self::assertSame('out', $result['verdict'], 'ten degrees over is too far');
    }

    public function test_steady_figures_by_hand(): void
    {
        // 200.0, 200.4, 199.6, 200.2, 199.8: mean 200, squares .16 + .16 + .04 + .04 = .4, over n − 1 = 4: sd √0.1
        $result = $this->compute(
            'thermal-log',
            ['csv' => "0,20,200\n10,200.0,200\n11,200.4,200\n12,199.6,200\n13,200.2,200\n14,199.8,200"],
        );

        self::assertEqualsWithDelta(200.0, $result['steady_mean_c'], 1e-9);
        self::assertEqualsWithDelta(sqrt(0.1), $result['steady_sd_c'], 1e-9);
        self::assertEqualsWithDelta(0.8, $result['peak_to_peak_c'], 1e-9);
    }

    public function test_firmware_lines_of_either_heater(): void
    {
        $lines = [
            'echo:busy: processing',
            'T:20.0 /200.0 B:25.0 /60.0 @:127 B@:127',
            'ok',
            ' T:110.0 /200.0 B:59.5 /60.0 @:127 B@:64',
            'T:199.6 /200.0 B:60.2 /60.0 @:64 B@:30',
            'T:200.1 /200.0 B:60.0 /60.0 @:60 B@:31',
        ];
        self::assertSame(4.0, $this->compute('thermal-log', ['lines' => $lines, 'interval_s' => 2])['rise_s']);
        self::assertSame(2.0, $this->compute('thermal-log', ['lines' => $lines, 'interval_s' => 2, 'channel' => 'B'])['rise_s']);
    }

    public function test_a_file_and_a_decimal_comma(): void
    {
        $file = Contents::text("Zeit;Ist;Soll\r\n0;20,5;200\r\n10;150,25;200\r\n20;199,5;200\r\n");
        self::assertSame(20.0, $this->compute('thermal-log', ['csv_file' => $file])['rise_s']);
    }

    public function test_never_reached_is_out(): void
    {
        $result = $this->compute('thermal-log', ['csv' => "0,20,200\n60,90,200\n120,120,200"]);

        self::assertSame(['out', null, null], [$result['verdict'], $result['rise_s'], $result['settle_s']]);
    }

    /** @return iterable<string, array{callable(int): array{float|int, float|int}, int, string}> temperature and target, seconds, verdict */
    public static function holds(): iterable
    {
        $up = static fn (int $t): float => min(200.0, 20 + 4.5 * $t);
        $noise = static fn (int $t): float => 0.1 * sin(1.7 * $t);
        yield 'held for two minutes' => [static fn (int $t): array => [$t < 40 ? $up($t) : 200 + $noise($t), 200], 160, 'ok'];
        yield 'cut on reaching' => [static fn (int $t): array => [$up($t), 200], 40, 'inconclusive'];
        yield 'cut after forty seconds' => [static fn (int $t): array => [$t < 40 ? $up($t) : 200 + $noise($t), 200], 80, 'inconclusive'];
        yield 'cut on its way' => [static fn (int $t): array => [$up($t), 200], 30, 'inconclusive'];
        yield 'levels off below' => [static fn (int $t): array => [20 + 130 * (1 - exp(-$t / 40)), 200], 300, 'out'];
        yield 'a sensor that hangs at the target' => [static fn (int $t): array => [$up($t), 200], 300, 'inconclusive'];
        yield 'a sensor that hangs from the beginning' => [static fn (int $t): array => [200.0, 200], 300, 'inconclusive'];
        yield 'a swing of 5 °C that ends in the band by chance' => [
            static fn (int $t): array => [$t < 40 ? $up($t) : 200 + 5 * sin(2 * M_PI * ($t - 40) / 60), 200],
            340,
            'out',
        ];
        yield 'the same, and a short log' => [
            static fn (int $t): array => [$t < 40 ? $up($t) : 200 + 5 * sin(2 * M_PI * ($t - 40) / 60), 200],
            100,
            'inconclusive',
        ];
        yield 'a swing of 1.8 °C: within what the trade takes' => [
            static fn (int $t): array => [$t < 40 ? $up($t) : 200 + 1.8 * sin(2 * M_PI * ($t - 40) / 25), 200],
            340,
            'ok',
        ];
        yield 'a swing of 2.3 °C' => [
            static fn (int $t): array => [$t < 40 ? $up($t) : 200 + 2.3 * sin(2 * M_PI * ($t - 40) / 25), 200],
            340,
            'out',
        ];
        yield 'a dip of 20 °C while it held' => [
            static fn (int $t): array => [$t < 40 ? $up($t) : 200 + $noise($t) - ($t > 50 && $t < 56 ? 20 : 0), 200],
            340,
            'out',
        ];
        yield 'the first temperature holds, the second never comes' => [
            static fn (int $t): array => [$t < 40 ? $up($t) : 200 + $noise($t), $t < 200 ? 200 : 240],
            500,
            'out',
        ];
        yield 'the first swings, the second holds' => [
            static fn (int $t): array => $t < 240 ? [
                $t < 40 ? $up($t) : 200 + 5 * sin(2 * M_PI * ($t - 40) / 25),
                200,
            ] : [min(220 + $noise($t), 200 + 2.0 * ($t - 240)), 220],
            500,
            'out',
        ];
        yield 'passed through on its way' => [
            static fn (int $t): array => $t < 20 ? [$up($t), 150] : [$t < 40 ? $up($t) : 200 + $noise($t), 200],
            160,
            'ok',
        ];
        yield 'down to a lower one, and held' => [
            static fn (int $t): array => $t < 160 ? [$t < 40 ? $up($t) : 200 + $noise($t), 200] : [
                max(180 + $noise($t), 200 - 0.5 * ($t - 160)),
                180,
            ],
            400,
            'ok',
        ];
    }

    /** @param  callable(int): array{float|int, float|int}  $at */
    #[DataProvider('holds')]
    public function test_every_temperature_asked_for_has_to_hold(callable $at, int $seconds, string $verdict): void
    {
        $csv = implode("\n", array_map(static fn (int $t): string => vsprintf('%d,%.3f,%d', [$t, ...$at($t)]), range(0, $seconds)));
        $result = $this->compute('thermal-log', ['csv' => $csv]);

        self::assertSame($verdict, $result['verdict'], is_string($result['because']) ? $result['because'] : '');
    }

    public function test_a_log_in_which_the_firmware_stopped_is_never_ok(): void
    {
        $lines = array_map(
            static fn (int $t): string => sprintf('T:%.2f /200.0 @:60', $t < 40 ? 20 + 4.5 * $t : 200 + 0.1 * cos($t)),
            range(0, 160),
        );
        $held = fn (string ...$more): array => $this->compute('thermal-log', ['interval_s' => 1, 'lines' => [...$lines, ...$more]]);

        self::assertSame(
            ['ok', 'out'],
            [$held()['verdict'], $held('Error:MINTEMP triggered, system stopped!', 'T:-15.0 /0.0 @:0')['verdict']],
        );
        self::assertStringContainsString('MINTEMP', $held('Error:MINTEMP triggered, system stopped!')['because']);
    }

    public function test_a_swing_that_ends_in_the_band_has_not_settled(): void
    {
        $csv = implode(
            "\n",
            array_map(
                static fn (int $t): string => sprintf(
                    '%d,%.3f,200',
                    $t,
                    $t < 40 ? 20 + 4.5 * $t : 200 + 5 * sin(2 * M_PI * ($t - 40) / 60),
                ),
                range(0, 340),
            ),
        );
        $result = $this->compute('thermal-log', ['csv' => $csv]);

        self::assertSame(['out', null, null], [$result['verdict'], $result['settle_s'], $result['steady_mean_c']]);
    }

    public function test_a_log_too_coarse_to_see_a_swing_settles_nothing(): void
    {
        $csv = implode(
            "\n",
            array_map(static fn (int $t): string => sprintf('%d,%.2f,200', $t, $t === 0 ? 20 : 200 + 0.1 * cos($t)), range(0, 150, 30)),
        );

        self::assertSame('inconclusive', $this->compute('thermal-log', ['csv' => $csv])['verdict']);
    }

    public function test_relay_constants_by_hand_and_from_a_sine(): void
    {
        // Ku = 4 · 127/(π · 4) = 40.425; Kp 24.255, Ki 2 · 24.255/30 = 1.617, Kd 24.255 · 30/8 = 90.957
        $result = $this->compute('relay-tune', ['relay_amplitude' => 127, 'amplitude_c' => 4, 'period_s' => 30]);
        self::assertEqualsWithDelta(
            [40.4254, 24.2552, 1.61702, 90.9572],
            [$result['ku'], $result['kp'], $result['ki'], $result['kd']],
            1e-3,
        );

        $csv = '';
        for ($t = 0; $t <= 200; $t += 0.5) {
            $csv .= sprintf("%.1f,%.5f,200\n", $t, 200 + 4 * sin(2 * M_PI * $t / 30));
        }
        $log = $this->compute('relay-tune', ['relay_amplitude' => 127, 'csv' => $csv]);
        self::assertEqualsWithDelta(30.0, $log['tu_s'], 0.02);
        self::assertEqualsWithDelta(40.4254, $log['ku'], 0.1);
    }

    public function test_rules_of_tuning_by_hand(): void
    {
        // Ku 40.4254, Tu 30 s: Tyreus and Luyben Ku/2.2, 2.2 Tu, Tu/6.3; SIMC with θ = Tu/4: Ku/π, 8θ = 60 s
        $rules = $this->compute('relay-tune', ['relay_amplitude' => 127, 'amplitude_c' => 4, 'period_s' => 30])['rules'];

        self::assertEqualsWithDelta([18.3752, 0.278412, 87.5010], [$rules[1]['kp'], $rules[1]['ki'], $rules[1]['kd']], 1e-3);
        self::assertEqualsWithDelta([12.8678, 0.214463, 0.0], [$rules[2]['kp'], $rules[2]['ki'], $rules[2]['kd']], 1e-3);
    }

    /** @return iterable<string, array{float, float}> share of the full power its target takes; noise of the sensor, °C */
    public static function relays(): iterable
    {
        yield 'half the time on' => [0.5, 0.0];
        yield 'a third of the time' => [0.35, 0.0];
        yield 'a quarter of the time' => [0.25, 0.0];
        yield 'two thirds' => [0.68, 0.0];
        yield 'with a noisy sensor' => [0.5, 0.6];
        yield 'with a noisy sensor and a third of the time' => [0.35, 0.6];
    }

    #[DataProvider('relays')]
    public function test_a_relay_at_a_lag_with_dead_time_gives_its_period_and_gain(float $share, float $noise): void
    {
        // G = e^(−5s)/(100 s + 1) under a relay of 0 and 200: by atan(100 ω) + 5 ω = π the critical period is 19.6 s and the gain
        // √(1 + (100 ω)²)
        $omega = 0.32;
        for ($i = 0; $i < 200; $i++) {
            $omega -= (atan(100 * $omega) + 5 * $omega - M_PI) / (100 / (1 + (100 * $omega) ** 2) + 5);
        }
        $waits = array_fill(0, 50, 0.0);
        $random = new Randomizer(new Mt19937(3));
        $csv = '';
        for ($i = 0, $y = 0.0; $i < 6000; $i++) {
            $waits[] = $y < 200 * $share ? 200.0 : 0.0;
            $y += 0.1 * (array_shift($waits) - $y) / 100;
            $csv .= $i >= 2000 && $i % 5 === 0 ? sprintf(
                "%.1f,%.4f,%.3f\n",
                $i / 10,
                $y + $noise * Pluck::normal($random),
                200 * $share,
            ) : '';
        }
        $result = $this->compute('relay-tune', ['relay_amplitude' => 100, 'csv' => $csv]);

        self::assertEqualsWithDelta(1.0, $result['tu_s'] / (2 * M_PI / $omega), 0.04);
        // the describing function knows a triangle’s first harmonic only: Ku comes out 8/π² of the true one
        self::assertEqualsWithDelta(8 / M_PI ** 2, $result['ku'] / sqrt(1 + (100 * $omega) ** 2), $noise > 0 ? 0.06 : 0.02);
    }

    public function test_what_is_no_steady_swing_is_refused(): void
    {
        $log = static fn (callable $at): string => implode(
            "\n",
            array_map(static fn (int $i): string => sprintf('%.1f,%.4f,200', $i / 2, $at($i / 2)), range(0, 600)),
        );
        $random = new Randomizer(new Mt19937(1));

        $this->assertRefused(
            'relay-tune',
            ['relay_amplitude' => 100, 'csv' => $log(static fn (float $t): float => 200 + Pluck::normal($random))],
            'csv',
        );
        $this->assertRefused(
            'relay-tune',
            ['relay_amplitude' => 100, 'csv' => $log(static fn (float $t): float => 200 + 4 * sin(2 * M_PI * $t / 30 * (1 + $t / 300)))],
            'csv',
        );
        $this->assertRefused(
            'relay-tune',
            ['relay_amplitude' => 100, 'csv' => $log(static fn (float $t): float => 200 + (fmod($t, 40) < 3 ? -9 : 1))],
            'csv',
        );
    }

    /** @return iterable<string, array{float|null, string, bool|null}> stops so long after it left the band */
    public static function runaways(): iterable
    {
        yield 'in time' => [15.0, 'ok', true];
        yield 'late' => [30.0, 'out', true];
        yield 'much too late' => [50.0, 'danger', true];
        yield 'never' => [null, 'danger', false];
    }

    #[DataProvider('runaways')]
    public function test_a_cooled_hot_end_is_watched_from_where_it_leaves_the_band(?float $stops, string $verdict, ?bool $tripped): void
    {
        // cooling begins at 30 s; T = 150 + 50 e^(−(t − 30)/20) is 4 °C below 200 at t = 30 + 20 ln(50/46) = 31.67 s
        $csv = "time_s,actual_c,target_c,power\n";
        for ($t = 0; $t <= 120; $t++) {
            $actual = $t < 30 ? 200 : 150 + 50 * exp(-($t - 30) / 20);
            $csv .= sprintf("%d,%.4f,200,%d\n", $t, $actual, $stops !== null && $t >= 32 + $stops ? 0 : 127);
        }
        $result = $this->compute('runaway-test', ['csv' => $csv, 'cooling_began_s' => 30, 'period_s' => 20, 'hysteresis_c' => 4]);

        self::assertSame([$verdict, $tripped], [$result['verdict'], $result['tripped']]);
        self::assertSame($stops, $result['tripped_after_s']);
        self::assertEqualsWithDelta(50 * (1 - exp(-90 / 20)), $result['drop_c'], 0.01);
    }

    public function test_without_power_or_a_stop_nothing_is_concluded(): void
    {
        $csv = '';
        for ($t = 0; $t <= 120; $t++) {
            $csv .= sprintf("%d,%.1f,200\n", $t, $t < 30 ? 200 : 180);
        }
        $case = ['csv' => $csv, 'cooling_began_s' => 30, 'period_s' => 20, 'hysteresis_c' => 4];
        self::assertSame(
            ['inconclusive', null],
            [$this->compute('runaway-test', $case)['verdict'], $this->compute('runaway-test', $case)['tripped']],
        );
        self::assertSame(
            'inconclusive',
            $this->compute('runaway-test', ['hysteresis_c' => 30] + $case)['verdict'],
            'it was not cooled far enough',
        );
    }

    public function test_the_firmwares_own_word_counts(): void
    {
        $lines = [
            ...array_fill(0, 30, 'T:200.0 /200.0 @:60'),
            ...array_fill(0, 12, 'T:180.0 /200.0 @:127'),
            'Error:Thermal Runaway, system stopped! Heater_ID: 0',
            'T:179.0 /0.0 @:0',
        ];
        $result = $this->compute(
            'runaway-test',
            ['lines' => $lines, 'interval_s' => 1, 'cooling_began_s' => 25, 'period_s' => 20, 'hysteresis_c' => 4],
        );

        self::assertSame([true, 'ok'], [$result['tripped'], $result['verdict']]);
        self::assertEqualsWithDelta(11.0, $result['tripped_after_s'], 1.01);
    }

    /**
     * @return iterable<string, array{callable(int): array{float|int, float|int, float|int}, string}> temperature, target and power
     *   at each second, what it says
     */
    public static function noTrips(): iterable
    {
        $falls = static fn (int $t): float => $t < 30 ? 200.0 : max(170.0, 200.0 - ($t - 30));
        yield 'back in its band, then the regulator is off' => [
            static fn (int $t): array => [$t < 30 ? 200 : ($t < 50 ? 193 : 199), 200, $t < 50 ? 127 : 0],
            'by itself',
        ];
        yield 'the regulator coasts up to the band as the log ends' => [
            static fn (int $t): array => [$t < 30 ? 200 : ($t < 60 ? 190 : 190 + 0.08 * ($t - 60)), 200, $t < 60 ? 127 : 0],
            'power went off',
        ];
        yield 'a hand sets the target to nothing' => [
            static fn (int $t): array => [$falls($t), $t < 45 ? 200 : 0, $t < 45 ? 127 : 0],
            'target was changed',
        ];
        yield 'a hand sets it lower' => [
            static fn (int $t): array => [$falls($t), $t < 45 ? 200 : 170, $t < 45 ? 127 : 0],
            'target was changed',
        ];
        yield 'one last sample without power' => [static fn (int $t): array => [$falls($t), 200, $t < 100 ? 127 : 0], 'power went off'];
        yield 'four seconds without power' => [
            static fn (int $t): array => [$falls($t), 200, $t < 97 ? 127 : 0],
            'it has to stay off for 5 s',
        ];
        yield 'power comes and goes, and the log ends early' => [
            static fn (int $t): array => [$falls($t), 200, ($t + 3) % 8 < 6 ? 0 : 127],
            'twice the period',
        ];
    }

    /** @param  callable(int): array{float|int, float|int, float|int}  $at */
    #[DataProvider('noTrips')]
    public function test_what_is_no_trip_is_never_ok(callable $at, string $says): void
    {
        $csv = implode("\n", array_map(static fn (int $t): string => implode(',', [$t, ...$at($t)]), range(0, 100)));
        $result = $this->compute('runaway-test', ['csv' => $csv, 'cooling_began_s' => 30, 'period_s' => 40, 'hysteresis_c' => 4]);

        self::assertSame(['inconclusive', null, null], [$result['verdict'], $result['tripped'], $result['tripped_after_s']]);
        self::assertStringContainsString($says, $result['because']);
    }

    public function test_slow_logs_need_two_intervals_without_power(): void
    {
        $slow = fn (int $offAt): array => $this->compute(
            'runaway-test',
            [
                'cooling_began_s' => 30,
                'period_s' => 60,
                'hysteresis_c' => 4,
                'csv' => implode(
                    "\n",
                    array_map(
                        static fn (int $t): string => implode(',', [$t, $t < 30 ? 200 : 180, 200, $t < $offAt ? 127 : 0]),
                        range(0, 100, 10),
                    ),
                ),
            ],
        );

        self::assertSame(
            ['inconclusive', 'ok'],
            [$slow(90)['verdict'], $slow(80)['verdict']],
            'off at 90 and 100 is one interval, at 80, 90 and 100 two',
        );
        self::assertEqualsWithDelta(50.0, $slow(80)['tripped_after_s'], 1e-9);
    }

    public function test_a_stop_for_another_reason_or_by_a_hand_is_no_trip(): void
    {
        $said = fn (string $message): string => $this->compute(
            'runaway-test',
            [
                'interval_s' => 1,
                'cooling_began_s' => 25,
                'period_s' => 40,
                'hysteresis_c' => 4,
                'lines' => [
                    ...array_fill(0, 30, 'T:200.0 /200.0 @:60'),
                    ...array_fill(0, 12, 'T:180.0 /200.0 @:127'),
                    $message,
                    'T:179.0 /0.0 @:0',
                ],
            ],
        )['verdict'];

        self::assertSame('ok', $said('Error:Thermal Runaway, system stopped! Heater_ID: 0'));
        self::assertSame('inconclusive', $said('Error:MINTEMP triggered, system stopped! Heater_ID: 0'), 'its sensor tore off');
        self::assertSame('inconclusive', $said('Error:Printer halted. kill() called!'), 'somebody pressed stop');
    }

    public function test_still_heating_after_twice_the_period_is_danger_however_it_ends(): void
    {
        $case = fn (callable $at): array => $this->compute(
            'runaway-test',
            [
                'cooling_began_s' => 30,
                'period_s' => 20,
                'hysteresis_c' => 4,
                'csv' => implode("\n", array_map(static fn (int $t): string => implode(',', [$t, ...$at($t)]), range(0, 100))),
            ],
        );

        self::assertSame(
            'danger',
            $case(static fn (int $t): array => [$t < 30 ? 200 : 180, $t < 90 ? 200 : 0, $t < 90 ? 127 : 0])['verdict'],
            'a hand ended it',
        );
        self::assertSame(
            'danger',
            $case(static fn (int $t): array => [$t < 30 || $t > 90 ? 200 : 180, 200, 127])['verdict'],
            'the air was taken away',
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'nothing' => ['thermal-log', [], 'csv'];
        yield 'both' => ['thermal-log', ['csv' => "0,1,2\n1,1,2\n2,1,2", 'lines' => ['x'], 'interval_s' => 1], 'csv'];
        yield 'two samples' => ['thermal-log', ['csv' => "0,20,200\n1,21,200"], 'csv'];
        yield 'words' => ['thermal-log', ['csv' => "0,20,200\n1,warm,200\n2,30,200"], 'csv'];
        yield 'two columns' => ['thermal-log', ['csv' => "0,20\n1,21\n2,22"], 'csv'];
        yield 'time runs back' => ['thermal-log', ['csv' => "0,20,200\n2,21,200\n1,22,200"], 'csv'];
        yield 'kelvin' => ['thermal-log', ['csv' => "0,20,200\n1,9000,200\n2,22,200"], 'csv'];
        yield 'no target' => ['thermal-log', ['csv' => "0,20,0\n1,20,0\n2,20,0"], 'target_c'];
        yield 'lines without their interval' => ['thermal-log', ['lines' => ['T:1 /2']], 'interval_s'];
        yield 'lines of something else' => ['thermal-log', ['lines' => ['ok', 'ok'], 'interval_s' => 1], 'lines'];
        yield 'one swing' => ['relay-tune', ['relay_amplitude' => 1, 'csv' => "0,199,200\n1,201,200\n2,199,200\n3,201,200"], 'csv'];
        yield 'an amplitude without its period' => ['relay-tune', ['relay_amplitude' => 1, 'amplitude_c' => 3], 'period_s'];
        yield 'cooled after the end' => [
            'runaway-test',
            ['csv' => "0,200,200\n1,200,200\n2,200,200", 'cooling_began_s' => 9, 'period_s' => 20, 'hysteresis_c' => 4],
            'cooling_began_s',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(string $name, array $input, string $field): void
    {
        $this->assertRefused($name, $input, $field);
    }
}
