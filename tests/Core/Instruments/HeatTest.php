<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\Contents;
use PHPUnit\Framework\Attributes\DataProvider;

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
        $result = $this->compute('thermal-log', ['csv' => implode("\n", array_map(static fn (array $r): string => implode(',', $r), $rows))]);

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
        $result = $this->compute('thermal-log', ['csv' => "0,20,200\n10,200.0,200\n11,200.4,200\n12,199.6,200\n13,200.2,200\n14,199.8,200"]);

        self::assertEqualsWithDelta(200.0, $result['steady_mean_c'], 1e-9);
        self::assertEqualsWithDelta(sqrt(0.1), $result['steady_sd_c'], 1e-9);
        self::assertEqualsWithDelta(0.8, $result['peak_to_peak_c'], 1e-9);
    }

    public function test_firmware_lines_of_either_heater(): void
    {
        $lines = ['echo:busy: processing', 'T:20.0 /200.0 B:25.0 /60.0 @:127 B@:127', 'ok', ' T:110.0 /200.0 B:59.5 /60.0 @:127 B@:64', 'T:199.6 /200.0 B:60.2 /60.0 @:64 B@:30', 'T:200.1 /200.0 B:60.0 /60.0 @:60 B@:31'];
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

    public function test_relay_constants_by_hand_and_from_a_sine(): void
    {
        // Ku = 4 · 127/(π · 4) = 40.425; Kp 24.255, Ki 2 · 24.255/30 = 1.617, Kd 24.255 · 30/8 = 90.957
        $result = $this->compute('relay-tune', ['relay_amplitude' => 127, 'amplitude_c' => 4, 'period_s' => 30]);
        self::assertEqualsWithDelta([40.4254, 24.2552, 1.61702, 90.9572], [$result['ku'], $result['kp'], $result['ki'], $result['kd']], 1e-3);

        $csv = '';
        for ($t = 0; $t <= 200; $t += 0.5) {
            $csv .= sprintf("%.1f,%.5f,200\n", $t, 200 + 4 * sin(2 * M_PI * $t / 30));
        }
        $log = $this->compute('relay-tune', ['relay_amplitude' => 127, 'csv' => $csv]);
        self::assertEqualsWithDelta(30.0, $log['tu_s'], 0.02);
        self::assertEqualsWithDelta(40.4254, $log['ku'], 0.1);
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
        self::assertSame(['inconclusive', null], [$this->compute('runaway-test', $case)['verdict'], $this->compute('runaway-test', $case)['tripped']]);
        self::assertSame('inconclusive', $this->compute('runaway-test', ['hysteresis_c' => 30] + $case)['verdict'], 'it was not cooled far enough');
    }

    public function test_the_firmwares_own_word_counts(): void
    {
        $lines = [...array_fill(0, 30, 'T:200.0 /200.0 @:60'), ...array_fill(0, 12, 'T:180.0 /200.0 @:127'), 'Error:Thermal Runaway, system stopped! Heater_ID: 0', 'T:179.0 /0.0 @:0'];
        $result = $this->compute('runaway-test', ['lines' => $lines, 'interval_s' => 1, 'cooling_began_s' => 25, 'period_s' => 20, 'hysteresis_c' => 4]);

        self::assertSame([true, 'ok'], [$result['tripped'], $result['verdict']]);
        self::assertEqualsWithDelta(11.0, $result['tripped_after_s'], 1.01);
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
        yield 'cooled after the end' => ['runaway-test', ['csv' => "0,200,200\n1,200,200\n2,200,200", 'cooling_began_s' => 9, 'period_s' => 20, 'hysteresis_c' => 4], 'cooling_began_s'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(string $name, array $input, string $field): void
    {
        $this->assertRefused($name, $input, $field);
    }
}
