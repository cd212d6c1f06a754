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

    public function test_copper_tracks_measured_warm(): void
    {
        // 24 V 220 W is 2.618 Ω at 20 °C and 2.618 · (1 + 0.00393 · 60) = 3.2355 Ω at 80 °C
        $at = fn (float $ohm, string $element): array => $this->compute(
            'heater',
            ['volts' => 24, 'rated_w' => 220, 'measured_ohm' => $ohm, 'measured_c' => 80, 'element' => $element],
        );

        self::assertEqualsWithDelta(3.2355, $at(3.2355, 'copper')['expected_ohm'], 1e-4);
        self::assertSame(['ok', 'off-value'], [$at(3.2355, 'copper')['state'], $at(3.2355, 'steady')['state']]);
        self::assertSame('off-value', $at(2.618, 'copper')['state'], 'cold ohms of a warm bed: part of it is shorted');
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
            self::assertEqualsWithDelta(
                24 * $arrives / 2.6,
                $result['load_w'] + $result['connector_w'],
                1e-9,
                'what the supply gives goes into bed and contact',
            );
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
        $result = $this->compute(
            'contact-resistance',
            [
                'resistance_ohm' => $R,
                'volts' => 24,
                'baseline_s' => $time(0.0),
                'today_s' => $time(0.25),
                'loss_w_per_k' => $k,
                'rise_c' => $rise,
            ],
        );

        self::assertEqualsWithDelta(0.25, $result['contact_ohm'], 1e-4);
    }

    public function test_small_losses_agree_with_none(): void
    {
        $case = ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 300];

        self::assertEqualsWithDelta(
            $this->compute('contact-resistance', $case)['contact_ohm'],
            $this->compute('contact-resistance', $case + ['loss_w_per_k' => 1e-6, 'rise_c' => 60])['contact_ohm'],
            1e-6,
        );
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
        $slower = fn (float $today): string => $this->compute(
            'contact-resistance',
            ['today_s' => $today] + $case + ['target_c' => 60, 'baseline_start_c' => 20, 'start_c' => 20],
        )['verdict'];
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

    public function test_a_heater_that_gets_next_to_nothing_is_not_ok_whatever_its_plug_makes(): void
    {
        // 0.5 V at a 24 V heater of 14.4 Ω: r = 23.5/(0.5/14.4) = 676.8 Ω, 0.816 W in the contact, 0.017 of 40 W for the heater
        $result = $this->compute('contact-resistance', ['resistance_ohm' => 14.4, 'volts' => 24, 'volts_at_load' => 0.5]);

        self::assertEqualsWithDelta([676.8, 0.8160, 0.01736], [$result['contact_ohm'], $result['connector_w'], $result['load_w']], 1e-4);
        self::assertSame('out', $result['verdict']);
        // 11 % of its power are watched, 21 % are too much, though a 230 V element makes few watts of them
        $drop = fn (float $share): string => $this->compute(
            'contact-resistance',
            ['resistance_ohm' => 900, 'volts' => 24, 'volts_at_load' => 24 * sqrt($share)],
        )['verdict'];
        self::assertSame(['ok', 'watch', 'out'], [$drop(0.91), $drop(0.89), $drop(0.79)]);
        self::assertSame(['contact-resistance-high' => true], TradeKnowledge::read()->instruments['contact-resistance']->findings($result));
    }

    public function test_a_heat_capacity_that_contradicts_the_baseline_is_refused(): void
    {
        // twice as slow, and a loss that leaves 2 % of the power: a contact of next to nothing would explain it
        $this->assertRefused(
            'contact-resistance',
            ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 480, 'loss_w_per_k' => 3.6, 'rise_c' => 60],
            'loss_w_per_k',
        );
        // twice as slow, and yet with 5 J/K no power at all would be needed: 0 Ω it was called
        $this->assertRefused(
            'contact-resistance',
            [
                'resistance_ohm' => 2.618,
                'volts' => 24,
                'baseline_s' => 240,
                'today_s' => 480,
                'loss_w_per_k' => 1,
                'rise_c' => 60,
                'heat_capacity_j_per_k' => 5,
            ],
            'heat_capacity_j_per_k',
        );
    }

    public function test_a_loss_of_next_to_nothing_is_none(): void
    {
        $case = ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 300];
        foreach ([1e-18, 1e-12, 1e-9, 1e-320] as $loss) {
            self::assertEqualsWithDelta(
                2.618 * (sqrt(1.25) - 1),
                $this->compute('contact-resistance', $case + ['loss_w_per_k' => $loss, 'rise_c' => 60])['contact_ohm'],
                1e-7,
            );
        }
    }

    public function test_much_quicker_than_the_baseline_compares_two_things(): void
    {
        self::assertSame(
            'inconclusive',
            $this->compute(
                'contact-resistance',
                ['resistance_ohm' => 2.618, 'volts' => 24, 'baseline_s' => 240, 'today_s' => 150],
            )['verdict'],
        );
    }

    public function test_copper_tracks_grow_while_they_warm(): void
    {
        // without losses C dT/dt = V²R/(R + r)²: today's time is r²∫dT/R + 2rΔT + ∫R dT in units of C/V², R = R0(1 + α(T − 20))
        [$R0, $alpha, $r] = [2.618, 0.00393, 0.3];
        $end = $R0 * (1 + $alpha * 60);
        $well = $R0 * (60 + $alpha * 60 ** 2 / 2);
        $today = $r ** 2 * log($end / $R0) / ($R0 * $alpha) + 2 * $r * 60 + $well;
        $case = [
            'resistance_ohm' => $R0,
            'volts' => 24,
            'element' => 'copper',
            'baseline_s' => 240,
            'today_s' => 240 * $today / $well,
            'start_c' => 20,
            'baseline_start_c' => 20,
            'target_c' => 80,
        ];
        self::assertEqualsWithDelta($r, $this->compute('contact-resistance', $case)['contact_ohm'], 1e-7);
        // the same bed measured at 80 °C
        self::assertEqualsWithDelta(
            $r,
            $this->compute('contact-resistance', ['resistance_ohm' => $end, 'measured_c' => 80] + $case)['contact_ohm'],
            1e-7,
        );
        // with the drop: R at the temperature it was loaded at
        $drop = $this->compute(
            'contact-resistance',
            ['resistance_ohm' => $R0, 'volts' => 24, 'element' => 'copper', 'load_c' => 80, 'volts_at_load' => 24 * $end / ($end + 0.2)],
        );
        self::assertEqualsWithDelta(0.2, $drop['contact_ohm'], 1e-9);
        $this->assertRefused('contact-resistance', array_diff_key($case, ['start_c' => 1]), 'start_c');
    }

    public function test_copper_with_losses_undoes_a_simulated_heat_up(): void
    {
        [$R0, $k, $C] = [2.618, 1.2, 620.0];
        $time = static function (float $r) use ($R0, $k, $C): float {
            $slope = static fn (float $T): float => (576 * ($R = $R0 * (1 + 0.00393 * $T)) / ($R + $r) ** 2 - $k * $T) / $C;
            for ($t = $T = 0.0, $dt = 0.002; $T < 60; $t += $dt) {
                $T += $dt * $slope($T + $dt / 2 * $slope($T));
            }

            return $t;
        };
        $result = $this->compute(
            'contact-resistance',
            [
                'resistance_ohm' => $R0,
                'volts' => 24,
                'element' => 'copper',
                'baseline_s' => $time(0.0),
                'today_s' => $time(0.25),
                'loss_w_per_k' => $k,
                'rise_c' => 60,
                'start_c' => 20,
                'baseline_start_c' => 20,
                'target_c' => 80,
            ],
        );

        self::assertEqualsWithDelta(0.25, $result['contact_ohm'], 2e-4);
    }

    /**
     * @return iterable<string, array{float, float}> mm², A that warm it from 30 to 70 °C: two loaded conductors in free air, IEC
     *   60364-5-52 (from memory)
     */
    public static function ampacities(): iterable
    {
        yield '1.5 mm²' => [1.5, 22];
        yield '2.5 mm²' => [2.5, 30];
        yield '4 mm²' => [4, 40];
        yield '6 mm²' => [6, 51];
        yield '10 mm²' => [10, 70];
    }

    #[DataProvider('ampacities')]
    public function test_a_wire_warms_as_the_tables_of_ampacity_say(float $area, float $amps): void
    {
        self::assertEqualsWithDelta(
            40.0,
            $this->compute('wire', ['area_mm2' => $area, 'length_m' => 1, 'amps' => $amps, 'air_c' => 30])['rise_k'],
            4.0,
        );
    }

    public function test_a_short_thin_wire_drops_little_and_burns(): void
    {
        $wire = fn (float $area, float $amps): array => $this->compute(
            'wire',
            ['area_mm2' => $area, 'length_m' => 0.05, 'amps' => $amps, 'volts' => 24],
        );

        self::assertLessThan(3.0, $wire(0.2, 12)['drop_pct'], 'its drop alone would be well');
        self::assertSame('danger', $wire(0.2, 12)['verdict']);
        self::assertNull($wire(0.05, 15)['rise_k'], 'it grows hotter until it burns');
        self::assertSame(
            ['ok', 'watch', 'out'],
            [$wire(0.3, 2.9)['verdict'], $wire(0.3, 3.1)['verdict'], $wire(0.3, 4.9)['verdict']],
            'A/mm²',
        );
        self::assertArrayHasKey(
            'verdict',
            $this->compute('wire', ['area_mm2' => 1, 'length_m' => 1, 'amps' => 1]),
            'heat is judged without a supply as well',
        );
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
        self::assertEqualsWithDelta(
            1.1965,
            $this->compute('wire', ['area_mm2' => 1, 'length_m' => 29, 'amps' => 1, 'conductor_c' => 70])['resistance_ohm'],
            1e-9,
        );
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
        yield 'more at the load than at the supply' => [
            'contact-resistance',
            ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => 25],
            'volts_at_load',
        ];
        yield 'no times' => ['contact-resistance', ['resistance_ohm' => 2.6, 'volts' => 24], 'baseline_s'];
        yield 'times and drop' => [
            'contact-resistance',
            ['resistance_ohm' => 2.6, 'volts' => 24, 'volts_at_load' => 23, 'today_s' => 1],
            'today_s',
        ];
        yield 'a loss without a rise' => [
            'contact-resistance',
            ['resistance_ohm' => 2.6, 'volts' => 24, 'baseline_s' => 1, 'today_s' => 2, 'loss_w_per_k' => 1],
            'rise_c',
        ];
        yield 'never that hot' => [
            'contact-resistance',
            ['resistance_ohm' => 2.6, 'volts' => 24, 'baseline_s' => 1, 'today_s' => 2, 'loss_w_per_k' => 10, 'rise_c' => 100],
            'loss_w_per_k',
        ];
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
