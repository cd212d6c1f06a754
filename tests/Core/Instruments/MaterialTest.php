<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use PHPUnit\Framework\Attributes\DataProvider;

/** Filament and first layer. */
final class MaterialTest extends InstrumentTestCase
{
    public function test_a_kilogram_by_hand_and_each_way_round(): void
    {
        // 1 kg at 1.24 g/cm³ is 806.45 cm³; over π/4 · 1.75² mm² = 2.40528 mm² that is 335.28 m
        $by = ['density_g_cm3' => 1.24, 'diameter_mm' => 1.75];
        $kilo = $this->compute('filament', $by + ['mass_g' => 1000, 'price_per_kg' => 24]);
        self::assertEqualsWithDelta(806.4516, $kilo['volume_cm3'], 1e-3);
        self::assertEqualsWithDelta(335.284, $kilo['length_m'], 1e-2);
        self::assertEqualsWithDelta(24.0, $kilo['cost'], 1e-12);
        foreach (['length_m', 'volume_cm3'] as $way) {
            self::assertEqualsWithDelta(1000.0, $this->compute('filament', $by + [$way => $kilo[$way]])['mass_g'], 1e-9);
        }
    }

    public function test_round_and_oval(): void
    {
        self::assertSame('ok', $this->compute('filament', ['diameters_mm' => [[1.75, 1.74], [1.75, 1.76]]])['verdict']);
        $oval = $this->compute('filament', ['diameters_mm' => [[1.75, 1.75], [1.82, 1.70]]]);
        self::assertEqualsWithDelta(0.12, $oval['ovality_mm'], 1e-12);
        // 1.82 · 1.70 / 1.75² − 1 = 1.03 %
        self::assertEqualsWithDelta(100 * (1.82 * 1.70 / 3.0625 - 1), $oval['worst_area_error_pct'], 1e-9);
        self::assertSame('out', $oval['verdict']);
        self::assertSame(2.85, $this->compute('filament', ['diameters_mm' => [[2.86, 2.84]]])['nominal_mm']);
    }

    public function test_water_is_a_share_of_the_dry_mass(): void
    {
        $result = $this->compute('filament', ['mass_before_g' => 1010, 'mass_after_g' => 1000]);

        self::assertEqualsWithDelta(1.0, $result['water_lost_pct'], 1e-12);
        self::assertSame('out', $result['verdict']);
    }

    public function test_drying_plans(): void
    {
        // common practice
        self::assertSame(
            [[75, 80], [8, 12]],
            [$this->compute('filament', ['material' => 'pa'])['temperature_c'], $this->compute('filament', ['material' => 'PA'])['hours']],
        );
    }

    public function test_a_laid_line_is_a_rectangle_with_round_ends(): void
    {
        $result = $this->compute('first-layer', ['nozzle_mm' => 0.4, 'layer_mm' => 0.2, 'line_width_mm' => 0.45, 'filament_mm' => 1.75]);

        self::assertSame(
            'watch',
            $this->compute(
                'first-layer',
                ['nozzle_mm' => 0.4, 'layer_mm' => 0.32, 'line_width_mm' => 0.45, 'filament_mm' => 1.75],
            )['verdict'],
            'four fifths still go',
        );
        // (0.45 − 0.2) · 0.2 + π · 0.1² = 0.05 + 0.031416
        self::assertEqualsWithDelta(0.0814159, $result['volume_mm3_per_mm'], 1e-7);
        self::assertEqualsWithDelta(0.0814159 / 2.4052819, $result['filament_mm_per_mm'], 1e-7);
        self::assertSame('ok', $result['verdict']);
    }

    /** @return iterable<string, array{float, string, string}> */
    public static function layers(): iterable
    {
        yield 'as asked' => [0.21, 'ok', 'Leave'];
        yield 'too far' => [0.28, 'out', 'Lower the nozzle by 0.08 mm'];
        yield 'too near' => [0.15, 'watch', 'Raise the nozzle by 0.05 mm'];
    }

    #[DataProvider('layers')]
    public function test_a_measured_first_layer_says_which_way(float $measured, string $verdict, string $advice): void
    {
        $result = $this->compute(
            'first-layer',
            ['nozzle_mm' => 0.4, 'layer_mm' => 0.2, 'line_width_mm' => 0.45, 'filament_mm' => 1.75, 'measured_mm' => $measured],
        );

        self::assertSame($verdict, $result['verdict']);
        self::assertStringContainsString($advice, $result['advice']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        $by = ['density_g_cm3' => 1.24, 'diameter_mm' => 1.75];
        yield 'nothing to go by' => ['filament', $by, 'length_m'];
        yield 'two' => ['filament', $by + ['mass_g' => 1, 'length_m' => 1], 'length_m'];
        yield 'kg per m³' => ['filament', ['density_g_cm3' => 1240, 'diameter_mm' => 1.75, 'mass_g' => 1], 'density_g_cm3'];
        yield 'no pairs' => ['filament', ['diameters_mm' => []], 'diameters_mm'];
        yield 'a single' => ['filament', ['diameters_mm' => [[1.75]]], 'diameters_mm.0'];
        yield 'heavier when dry' => ['filament', ['mass_before_g' => 1000, 'mass_after_g' => 1010], 'mass_after_g'];
        yield 'an unknown material' => ['filament', ['material' => 'PLB'], 'material'];
        yield 'a layer over four fifths of the bore' => [
            'first-layer',
            ['nozzle_mm' => 0.4, 'layer_mm' => 0.33, 'line_width_mm' => 0.45, 'filament_mm' => 1.75],
            'layer_mm',
        ];
        yield 'a line higher than wide' => [
            'first-layer',
            ['nozzle_mm' => 0.4, 'layer_mm' => 0.5, 'line_width_mm' => 0.45, 'filament_mm' => 1.75],
            'layer_mm',
        ];
        yield 'a nozzle of 4 mm' => [
            'first-layer',
            ['nozzle_mm' => 4, 'layer_mm' => 0.2, 'line_width_mm' => 0.45, 'filament_mm' => 1.75],
            'nozzle_mm',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(string $name, array $input, string $field): void
    {
        $this->assertRefused($name, $input, $field);
    }
}
