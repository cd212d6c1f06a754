<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use PHPUnit\Framework\Attributes\DataProvider;

final class BeltTensionTest extends InstrumentTestCase
{
    private const BELT = ['span_mm' => 150, 'frequency_hz' => 110, 'belt' => ['width_mm' => 6]];

    public function test_a_six_millimetre_belt_by_hand(): void
    {
        // 4 · 0.0084 kg/m · (0.15 m)² · (110 Hz)² = 9.1476 N; 1.4 g/m per mm from memory of a maker's span-tension sheet
        self::assertEqualsWithDelta(9.1476, $this->compute('belt-tension', self::BELT)['tension_n'], 1e-9);
        self::assertArrayNotHasKey(
            'verdict',
            $this->compute('belt-tension', self::BELT),
            'with nothing to hold it against there is no verdict',
        );
    }

    public function test_tension_goes_with_the_square_of_pitch_and_span(): void
    {
        $once = $this->compute('belt-tension', self::BELT)['tension_n'];

        self::assertEqualsWithDelta(4 * $once, $this->compute('belt-tension', ['frequency_hz' => 220] + self::BELT)['tension_n'], 1e-9);
        self::assertEqualsWithDelta(4 * $once, $this->compute('belt-tension', ['span_mm' => 300] + self::BELT)['tension_n'], 1e-9);
        self::assertEqualsWithDelta(
            $once,
            $this->compute('belt-tension', ['mass_g_per_m' => 8.4] + array_diff_key(self::BELT, ['belt' => 0]))['tension_n'],
            1e-9,
        );
    }

    public function test_the_least_tension_and_the_pitch_it_sounds_at(): void
    {
        $result = $this->compute('belt-tension', self::BELT + ['moving_mass_kg' => 0.4, 'acceleration_mm_s2' => 3000, 'friction_n' => 2]);

        // 1.25 · (0.4 kg · 3 m/s² + 2 N) / 2 = 2 N
        self::assertEqualsWithDelta(2.0, $result['min_tension_n'], 1e-12);
        self::assertSame('ok', $result['verdict']);
        $at = $this->compute('belt-tension', ['frequency_hz' => $result['frequency_for_min_tension_hz']] + self::BELT);
        self::assertEqualsWithDelta(2.0, $at['tension_n'], 1e-9, 'at that pitch it has that tension');
        self::assertSame(
            'out',
            $this->compute(
                'belt-tension',
                ['frequency_hz' => 40] + self::BELT + ['moving_mass_kg' => 0.4, 'acceleration_mm_s2' => 3000, 'friction_n' => 2],
            )['verdict'],
        );
    }

    /** @return iterable<string, array{float, string}> */
    public static function ratios(): iterable
    {
        yield 'alike' => [110, 'ok'];
        yield '14 % more tension' => [110 * sqrt(1.14), 'ok'];
        yield '16 % more' => [110 * sqrt(1.16), 'watch'];
        yield '29 % less' => [110 * sqrt(0.71), 'watch'];
        yield '31 % less' => [110 * sqrt(0.69), 'out'];
    }

    #[DataProvider('ratios')]
    public function test_a_reference_is_held_against_by_tension(float $frequency, string $verdict): void
    {
        self::assertSame(
            $verdict,
            $this->compute('belt-tension', ['frequency_hz' => $frequency, 'reference_hz' => 110] + self::BELT)['verdict'],
        );
    }

    public function test_below_its_own_minimum_it_is_out_whatever_the_reference_says(): void
    {
        // 9.148 N; 2 kg at 8 m/s² need 1.25 · 16 / 2 = 10 N
        $result = $this->compute(
            'belt-tension',
            [
                'span_mm' => 150,
                'frequency_hz' => 110,
                'belt' => ['width_mm' => 6],
                'reference_hz' => 110,
                'moving_mass_kg' => 2,
                'acceleration_mm_s2' => 8000,
            ],
        );

        self::assertSame('out', $result['verdict']);
        self::assertEqualsWithDelta([1.0, 10.0], [$result['ratio_to_reference'], $result['min_tension_n']], 1e-12);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'a span of 150 m' => [['span_mm' => 150_000] + self::BELT, 'span_mm'];
        yield 'a span in metres' => [['span_mm' => 0.15] + self::BELT, 'span_mm'];
        yield 'no number' => [['frequency_hz' => '110'] + self::BELT, 'frequency_hz'];
        yield 'missing' => [['span_mm' => 150, 'belt' => ['width_mm' => 6]], 'frequency_hz'];
        yield 'unknown' => [self::BELT + ['spann_mm' => 1], 'spann_mm'];
        yield 'unknown inside' => [['belt' => ['width_mm' => 6, 'colour' => 1]] + self::BELT, 'belt.colour'];
        yield 'not a number' => [['frequency_hz' => NAN] + self::BELT, 'frequency_hz'];
        yield 'neither belt nor mass' => [['span_mm' => 150, 'frequency_hz' => 110], 'belt'];
        yield 'both' => [self::BELT + ['mass_g_per_m' => 8], 'belt'];
        yield 'the second overtone of a long span: 2,100 N' => [['span_mm' => 500, 'frequency_hz' => 500] + self::BELT, 'frequency_hz'];
        yield 'mass without acceleration' => [self::BELT + ['moving_mass_kg' => 0.4], 'acceleration_mm_s2'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(array $input, string $field): void
    {
        $this->assertRefused('belt-tension', $input, $field);
    }
}
