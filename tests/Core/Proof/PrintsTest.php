<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Input\Contents;
use OddBench\Instruments\FlexSlab;
use OddBench\Instruments\Gcode;
use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Prints\ProofPrint;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The proof prints, read back by the instrument that judges any G-code, and lengths worked by hand. */
final class PrintsTest extends TestCase
{
    /** @return iterable<string, array{ProofPrint, Bed}> */
    public static function prints(): iterable
    {
        foreach (ProofPrint::cases() as $print) {
            yield "{$print->value}, 220 mm" => [$print, new Bed];
            yield "{$print->value}, 180 mm" => [$print, new Bed(180, 180, 180)];
            yield "{$print->value}, round 240 mm" => [$print, new Bed(240, 240, 300, true)];
        }
    }

    #[DataProvider('prints')]
    public function test_it_stays_on_the_bed_and_nothing_is_wrong_with_it(ProofPrint $print, Bed $bed): void
    {
        $lines = $print->lines($bed, 200, 60, 4, true);
        $read = (new Gcode)->compute([
            'gcode' => implode("\n", $lines)."\n",
            'bed_x_mm' => $bed->xMm,
            'bed_y_mm' => $bed->yMm,
            'bed_z_mm' => $bed->zMm,
            'origin' => $bed->round ? 'middle' : 'corner',
        ]);

        self::assertSame([], $read['problems']);
        self::assertGreaterThan(0, $read['filament_mm']);
        self::assertSame('M140 S0', end($lines), 'heaters are off at its end');
        if ($bed->round) {
            foreach ($lines as $line) {
                if (preg_match('/X(-?[\d.]+) Y(-?[\d.]+)/', $line, $at) === 1) {
                    self::assertLessThanOrEqual(120.0, hypot((float) $at[1], (float) $at[2]), $line);
                }
            }
        }
    }

    public function test_the_ring_takes_the_filament_its_corners_say(): void
    {
        $read = (new Gcode)->compute(['gcode' => implode("\n", ProofPrint::Ring->lines(new Bed, 200, 60, 1, true))."\n"]);

        // 20 layers of 24 sides of 30·sin(π/24), 0.2 × 0.45 mm, in filament of 2.405 mm²
        self::assertEqualsWithDelta(20 * 24 * 30 * sin(M_PI / 24) * 0.2 * 0.45 / 2.405, $read['filament_mm'], 1e-2);
        self::assertCount(20, $read['layers']);
    }

    public function test_the_first_layer_reaches_all_four_corners(): void
    {
        $read = (new Gcode)->compute(['gcode' => implode("\n", ProofPrint::FirstLayer->lines(new Bed, 200, 60, 1, true))."\n"]);

        self::assertCount(1, $read['layers']);
        foreach (['x', 'y'] as $axis) {
            self::assertEqualsWithDelta(10, $read['extents'][$axis]['min'], 0.5);
            self::assertEqualsWithDelta(210, $read['extents'][$axis]['max'], 0.5);
        }
        // five patches of 67 lines of 30 mm and 67 steps of 0.45 between them
        self::assertEqualsWithDelta(5 * 67 * (30 + 0.45) * 0.2 * 0.45 / 2.405, $read['filament_mm'], 0.5);
    }

    public function test_every_slot_is_called_and_the_materials_change_four_times(): void
    {
        $tools = static fn (ProofPrint $print): array => array_values(array_filter(
            $print->lines(new Bed(256, 256, 256), 200, 60, 4, false),
            static fn (string $line): bool => $line[0] === 'T',
        ));

        self::assertSame(['T0', 'T1', 'T2', 'T3', 'T0'], $tools(ProofPrint::Slots));
        self::assertSame(['T0', 'T1', 'T2', 'T3'], $tools(ProofPrint::SlotRings));
        self::assertSame(['T0', 'T1', 'T2', 'T3', 'T0'], $tools(ProofPrint::Materials));
    }

    public function test_the_long_print_takes_three_hours_on_a_small_machine_too(): void
    {
        foreach ([new Bed, new Bed(120, 120, 100), new Bed(300, 300, 320)] as $bed) {
            $read = (new Gcode)->compute(['gcode' => implode("\n", ProofPrint::Long->lines($bed, 200, 60, 1, true))."\n"]);
            self::assertGreaterThan(3 * 3600, $read['estimated_s']);
            self::assertLessThan(3.5 * 3600, $read['estimated_s']);
        }
    }

    public function test_the_cable_slab_lies_around_the_middle_of_a_delta(): void
    {
        $slab = (new FlexSlab)->compute(['bed_x_mm' => 240, 'bed_y_mm' => 240, 'axis' => 'y', 'origin' => 'middle']);
        $read = (new Gcode)->compute([
            'file' => Contents::text((string) $slab['gcode']),
            'bed_x_mm' => 240,
            'bed_y_mm' => 240,
            'origin' => 'middle',
        ]);

        self::assertSame([], $read['problems']);
        self::assertEqualsWithDelta(0.9, $read['axis_share']['y'], 0.01);
        self::assertEqualsWithDelta(0, $read['extents']['y']['min'] + $read['extents']['y']['max'], 0.01);
        $outside = (new Gcode)->compute(['file' => Contents::text((string) $slab['gcode']), 'bed_x_mm' => 240, 'bed_y_mm' => 240]);
        self::assertNotSame([], $outside['problems'], 'a machine that counts from its corner cannot go there');
    }
}
