<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\TradeKnowledge;

/** Heater, contact resistance and wire. */
final class ElectricalTest extends InstrumentTestCase
{
    public function test_a_heater_by_ohms_law(): void
    {
        $result = $this->compute('heater', ['volts' => 24, 'rated_w' => 40]);

        self::assertEqualsWithDelta(14.4, $result['expected_ohm'], 1e-12);
        self::assertEqualsWithDelta(1.6667, $result['current_a'], 1e-4);
        self::assertArrayNotHasKey('state', $result);
    }

    /** @return iterable<string, array{float, string, string}> */
    public static function heaters(): iterable
    {
        yield 'as it should' => [14.4, 'ok', 'ok'];
        yield '14 % more' => [16.4, 'ok', 'ok'];
        yield '16 % more' => [16.8, 'off-value', 'out'];
        yield 'a 12 V cartridge: a quarter' => [3.6, 'short', 'danger'];
        yield 'a little over half' => [7.3, 'off-value', 'out'];
        yield 'broken' => [1e6, 'open', 'out'];
        yield 'touching' => [0, 'short', 'danger'];
    }

    #[DataProvider('heaters')]
    public function test_a_heater_is_judged_by_its_resistance(float $ohms, string $state, string $verdict): void
    {
        $result = $this->compute('heater', ['volts' => 24, 'rated_w' => 40, 'measured_ohm' => $ohms]);

        self::assertSame([$state, $verdict], [$result['state'], $result['verdict']]);
        self::assertEqualsWithDelta(100 * ($ohms / 14.4 - 1), $result['deviation_pct'], 1e-9);
    }

    public function test_a_bed_that_heats_a_quarter_slower_burns_its_plug(): void
    {
        // by hand: r = 2.618 (√1.25 − 1) = 0.3090 Ω, V²r/(R + r)² = 576 · 0.3090 / 2.9270² = 20.78 W
        $result = $this->compute('contact-resistance', ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 300]);

        self::assertEqualsWithDelta(0.3090, $result['contact_ohm'], 5e-5);
        self::assertEqualsWithDelta(20.78, $result['connector_w'], 5e-3);
        self::assertSame('danger', $result['verdict']);
    }

    public function test_the_drop_says_the_same_as_the_resistance_it_comes_from(): void
    {
        foreach ([0.01, 0.1, 0.5] as $r) {
            $arrives = 24 * 2.6 / (2.6 + $r);
            $result = $this->compute('contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => $arrives]);
            self::assertEqualsWithDelta($r, $result['contact_ohm'], 1e-9);
            self::assertEqualsWithDelta($arrives ** 2 / 2.6, $result['load_w'], 1e-9);
            self::assertEqualsWithDelta(24 * $arrives / 2.6, $result['load_w'] + $result['connector_w'], 1e-9, 'what the supply gives goes into bed and contact');
        }
    }

    public function test_with_losses_it_undoes_a_simulated_heat_up(): void
    {
        // C dT/dt = V²R/(R + r)² − kT by small steps; the two times then give r back
        [$R, $k, $C, $rise] = [2.618, 1.2, 620.0, 60.0];
        $time = static function (float $r) use ($R, $k, $C, $rise): float {
            $power = 576 * $R / ($R + $r) ** 2;
            for ($t = $T = 0.0, $dt = 0.001; $T < $rise; $t += $dt) {
                $middle = $T + $dt / 2 * ($power - $k * $T) / $C;
                $T += $dt * ($power - $k * $middle) / $C;
            }

            return $t;
        };
        $result = $this->compute('contact-resistance', ['resistance_ohm' => $R, 'volts' => 24, 'baseline_s' => $time(0.0), 'today_s' => $time(0.25), 'loss_w_per_k' => $k, 'rise_c' => $rise]);

        self::assertEqualsWithDelta(0.25, $result['contact_ohm'], 1e-4);
    }

    public function test_small_losses_agree_with_none(): void
    {
        $case = ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 300];

        self::assertEqualsWithDelta($this->compute('contact-resistance', $case)['contact_ohm'], $this->compute('contact-resistance', $case + ['loss_w_per_k' => 1e-6, 'rise_c' => 60])['contact_ohm'], 1e-6);
    }

    public function test_another_start_explains_a_slower_heat_up(): void
    {
        // 45 K instead of 40 take 240 · 45/40 = 270 s: nothing is in the contact
        $case = ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 270];
        $known = $this->compute('contact-resistance', $case + ['target_c' => 60, 'baseline_start_c' => 20, 'start_c' => 15]);
        self::assertSame([0.0, 'ok'], [$known['contact_ohm'], $known['verdict']]);

        // the same times with nobody knowing from where it began settle nothing; from the same start they do
        self::assertSame('inconclusive', $this->compute('contact-resistance', $case)['verdict']);
        $same = $this->compute('contact-resistance', $case + ['target_c' => 60, 'baseline_start_c' => 20, 'start_c' => 20]);
        self::assertSame('danger', $same['verdict']);
        self::assertEqualsWithDelta(2.618 * (sqrt(1.125) - 1), $same['contact_ohm'], 1e-9);
        // draught 3 % and four seconds of the clock are 4.67 % of 240 s
        $slower = fn (float $today): string => $this->compute('contact-resistance', ['today_s' => $today] + $case + ['target_c' => 60, 'baseline_start_c' => 20, 'start_c' => 20])['verdict'];
        self::assertSame(['inconclusive', 'out'], [$slower(251.0), $slower(252.0)]);
    }

    public function test_what_is_only_to_be_watched_or_not_settled_is_no_finding(): void
    {
        $sheet = TradeKnowledge::read()->instruments['contact-resistance'];
        $says = fn (array $input): array => $sheet->findings($this->compute('contact-resistance', $input));

        self::assertSame([], $says(['resistance_ohm' => 2.618, 'volts' => 24, 'volts_at_load' => 23.8]));
        self::assertSame([], $says(['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 260]));
        self::assertSame(['contact-resistance-high' => true], $says(['resistance_ohm' => 2.618, 'volts' => 24, 'volts_at_load' => 23]));
        self::assertSame(['contact-resistance-high' => false], $says(['resistance_ohm' => 2.618, 'volts' => 24, 'volts_at_load' => 23.98]));
    }

    public function test_faster_than_the_baseline_is_no_contact_resistance(): void
    {
        $result = $this->compute('contact-resistance', ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 230]);

        self::assertSame([0.0, 'ok'], [$result['contact_ohm'], $result['verdict']]);
        self::assertStringContainsString('no slower', $result['because']);
    }

    /** @return iterable<string, array{int, float, float}> AWG, diameter, area: ASTM B258, table 1 (rounded there) */
    public static function gauges(): iterable
    {
        yield 'AWG 10' => [10, 2.588, 5.261];
        yield 'AWG 14' => [14, 1.628, 2.081];
        yield 'AWG 16' => [16, 1.291, 1.309];
        yield 'AWG 18' => [18, 1.024, 0.823];
        yield 'AWG 22' => [22, 0.6438, 0.3255];
        yield 'AWG 36, by definition 0.005 inch' => [36, 0.127, 0.01267];
    }

    #[DataProvider('gauges')]
    public function test_wire_gauges(int $awg, float $diameter, float $area): void
    {
        $result = $this->compute('wire', ['awg' => $awg, 'length_m' => 1, 'amps' => 1]);

        self::assertEqualsWithDelta($diameter, $result['diameter_mm'], 0.0006);
        self::assertEqualsWithDelta(1.0, $result['area_mm2'] / $area, 0.001);
    }

    public function test_copper_by_iec_60028(): void
    {
        // 1/58 Ω·mm²/m: 58 m of 1 mm² is 1 Ω at 20 °C, there and back 29 m; 0.00393 more of it for each kelvin
        self::assertEqualsWithDelta(1.0, $this->compute('wire', ['area_mm2' => 1, 'length_m' => 29, 'amps' => 1])['resistance_ohm'], 1e-12);
        self::assertEqualsWithDelta(1.1965, $this->compute('wire', ['area_mm2' => 1, 'length_m' => 29, 'amps' => 1, 'conductor_c' => 70])['resistance_ohm'], 1e-9);
        $result = $this->compute('wire', ['area_mm2' => 1, 'length_m' => 29, 'amps' => 2, 'volts' => 50]);
        self::assertEqualsWithDelta([2.0, 4.0, 4.0], [$result['drop_v'], $result['loss_w'], $result['drop_pct']], 1e-12);
        self::assertSame('watch', $result['verdict']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no volts' => ['heater', ['rated_w' => 40], 'volts'];
        yield 'kilovolts' => ['heater', ['volts' => 24_000, 'rated_w' => 40], 'volts'];
        yield 'kilowatts as watts' => ['heater', ['volts' => 24, 'rated_w' => 0.04], 'rated_w'];
        yield 'minus ohms' => ['heater', ['volts' => 24, 'rated_w' => 40, 'measured_ohm' => -1], 'measured_ohm'];
        yield 'more at the load than at the supply' => ['contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => 25], 'volts_at_load'];
        yield 'no times' => ['contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24], 'baseline_s'];
        yield 'times and drop' => ['contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => 23, 'today_s' => 1], 'today_s'];
        yield 'a loss without a rise' => ['contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24, 'baseline_s' => 1, 'today_s' => 2, 'loss_w_per_k' => 1], 'rise_c'];
        yield 'never that hot' => ['contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24, 'baseline_s' => 1, 'today_s' => 2, 'loss_w_per_k' => 10, 'rise_c' => 100], 'loss_w_per_k'];
        yield 'two sizes' => ['wire', ['awg' => 16, 'area_mm2' => 1, 'length_m' => 1, 'amps' => 1], 'awg'];
        yield 'a kilometre' => ['wire', ['awg' => 16, 'length_m' => 1000, 'amps' => 1], 'length_m'];
        yield 'half a gauge' => ['wire', ['awg' => 16.5, 'length_m' => 1, 'amps' => 1], 'awg'];
        yield 'more than the wire lets through' => ['wire', ['awg' => 30, 'length_m' => 10, 'amps' => 10, 'volts' => 12], 'amps'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(string $name, array $input, string $field): void
    {
        $this->assertRefused($name, $input, $field);
    }
}
