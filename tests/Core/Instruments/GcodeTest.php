<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\Contents;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;

final class GcodeTest extends InstrumentTestCase
{
    private const START = "G21\nG90\nM83\nM104 S210\nG28\n";

    public function test_one_straight_move_takes_what_its_trapezoid_takes(): void
    {
        // 100 mm at 50 mm/s, 1000 mm/s²: t = d/v + v/a = 2 + 0.05
        self::assertEqualsWithDelta(2.05, $this->read("G28\nG1 X100 F3000")['estimated_s'], 1e-9);
        // 1 mm never reaches 50 mm/s: t = 2 √(d/a)
        self::assertEqualsWithDelta(2 * sqrt(1 / 1000), $this->read("G28\nG1 X1 F3000")['estimated_s'], 1e-9);
    }

    public function test_straight_on_is_not_slowed_and_turning_back_stops(): void
    {
        $whole = $this->read("G28\nG1 X100 F3000")['estimated_s'];
        $pieces = "G28\n";
        for ($i = 1; $i <= 400; $i++) {
            $pieces .= sprintf("G1 X%.4f F3000\n", $i / 4);
        }
        self::assertEqualsWithDelta($whole, $this->read($pieces)['estimated_s'], 1e-6, 'also across the batches it looks ahead in');
        self::assertEqualsWithDelta(2 * $whole, $this->read("G28\nG1 X100 F3000\nG1 X0")['estimated_s'], 1e-9);
    }

    public function test_a_right_angle_is_passed_at_the_speed_of_the_junction_deviation(): void
    {
        // v² = a δ sin(θ/2)/(1 − sin(θ/2)) with θ = 90°: 1000 · 0.05 · 0.7071/0.2929 = 120.71
        $v2 = 1000 * 0.05 * M_SQRT1_2 / (1 - M_SQRT1_2);
        // each leg: from rest to 50 mm/s and down to v, and the mirror of it
        $leg = (50 + (50 - sqrt($v2))) / 1000 + (100 - (2 * 2500 - $v2) / 2000) / 50;

        self::assertEqualsWithDelta(2 * $leg, $this->read("G28\nG1 X100 F3000\nG1 Y100")['estimated_s'], 1e-9);
    }

    public function test_a_pause_and_the_extruder_alone_take_their_time(): void
    {
        self::assertEqualsWithDelta(1.5, $this->read("G28\nG4 P1500")['estimated_s'], 1e-9);
        // 5 mm at 25 mm/s: 5/25 + 25/1000
        self::assertEqualsWithDelta(0.225, $this->read(self::START.'G1 E5 F1500')['estimated_s'], 1e-9);
    }

    public function test_extents_layers_filament_and_temperatures(): void
    {
        $result = $this->read(self::START."M190 S60\nG0 X10 Y20 Z0.2 F6000\nG1 X110 E4\nG1 Y70 E2\nG1 E-1\nG0 Z0.4\nG0 X10\nG1 E1\nG1 Y20 E2\n; nothing\n");

        self::assertSame(['x' => ['min' => 10.0, 'max' => 110.0], 'y' => ['min' => 20.0, 'max' => 70.0], 'z' => ['min' => 0.2, 'max' => 0.4]], $result['extents']);
        self::assertSame([0.2, 0.4], $result['layers']);
        self::assertEqualsWithDelta(8.0, $result['filament_mm'], 1e-9, 'what is pulled back and pushed again is not used twice');
        self::assertSame(['hotend' => [210.0], 'bed' => [60.0]], $result['temperatures']);
        self::assertSame([], $result['problems']);
    }

    public function test_relative_moves_inches_and_set_positions_mean_the_same(): void
    {
        $plain = $this->read(self::START."G0 Z0.2\nG1 X25.4 E1 F1200\nG1 X50.8 E1");
        foreach ([
            self::START."G0 Z0.2\nG91\nM83\nG1 X25.4 E1 F1200\nG1 X25.4 E1",
            self::START."G0 Z0.2\nG20\nG1 X1 E0.03937007874 F47.24409449\nG1 X2 E0.03937007874",
            "G21\nG90\nM82\nM104 S210\nG28\nG92 E7\nG0 Z0.2\nG1 X25.4 E8 F1200\nG1 X50.8 E9",
        ] as $other) {
            $result = $this->read($other);
            self::assertEqualsWithDelta($plain['extents'], $result['extents'], 1e-6);
            self::assertEqualsWithDelta($plain['filament_mm'], $result['filament_mm'], 1e-6);
            self::assertEqualsWithDelta($plain['estimated_s'], $result['estimated_s'], 1e-4);
        }
    }

    public function test_a_full_circle_and_a_half_one(): void
    {
        foreach (["G0 X70 Y50\nG3 X70 Y50 I-20 J0 E5", "G0 X70 Y50\nG2 X70 Y50 I-20 J0 E5"] as $circle) {
            $result = $this->read(self::START.$circle);
            self::assertEqualsWithDelta(['min' => 30.0, 'max' => 70.0], $result['extents']['x'], 0.02);
            self::assertEqualsWithDelta(['min' => 30.0, 'max' => 70.0], $result['extents']['y'], 0.02);
            self::assertEqualsWithDelta(5.0, $result['filament_mm'], 1e-9);
        }
        // clockwise from (30,50) to (70,50) goes over the top, and so says the radius
        foreach (["G0 X30 Y50\nG2 X70 Y50 I20 J0 E5", "G0 X30 Y50\nG2 X70 Y50 R20 E5"] as $half) {
            self::assertEqualsWithDelta(['min' => 50.0, 'max' => 70.0], $this->read(self::START.$half)['extents']['y'], 0.02);
        }
        self::assertEqualsWithDelta(['min' => 30.0, 'max' => 50.0], $this->read(self::START."G0 X30 Y50\nG3 X70 Y50 R20 E5")['extents']['y'], 0.02);
    }

    public function test_line_numbers_and_checksums(): void
    {
        $with = static function (string $code): string {
            $sum = 0;
            foreach (str_split($code) as $byte) {
                $sum ^= ord($byte);
            }

            return "{$code}*{$sum}";
        };
        // from the documentation of the protocol, by hand: the exclusive or of “N3 T0” and a star is 57
        self::assertSame('N3 T0*57', $with('N3 T0'));
        self::assertSame([], $this->read("N0 M110 N0*125\n".$with('N1 G28')."\n".$with('N2 G1 X10 F600'))['problems']);
        $wrong = $this->read($with('N1 G28')."\nN2 G1 X10*1\n".$with('N5 G1 X20'));
        self::assertSame([['checksum', 2], ['line-number', 3]], array_map(static fn (array $p): array => [$p['kind'], $p['line']], $wrong['problems']));
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function problems(): iterable
    {
        yield 'outside the bed' => [self::START."G1 X10 Y10 F6000\nG1 X230 Y10", 'outside', 7];
        yield 'below the bed' => [self::START.'G1 Z-0.5', 'outside', 6];
        yield 'cold' => ["G28\nM83\nG1 X10 E1 F600", 'cold-extrusion', 3];
        yield 'too cold' => ["G28\nM83\nM104 S120\nG1 X10 E1 F600", 'cold-extrusion', 4];
        yield 'never homed' => ['G1 X10 F600', 'no-home', 1];
        yield 'absolute E after relative' => ["G28\nM83\nM104 S210\nG1 X10 E812.5 F600", 'mixed-modes', 4];
        yield 'no number' => ["G28\nG1 Xten", 'unreadable', 2];
        yield 'no command' => ["G28\n<html>", 'unreadable', 2];
        yield 'an arc without a centre' => ["G28\nG2 X10 Y10", 'unreadable', 2];
    }

    #[DataProvider('problems')]
    public function test_what_is_wrong_is_named_with_its_line(string $gcode, string $kind, int $line): void
    {
        $problem = $this->read($gcode, ['bed_x_mm' => 220, 'bed_y_mm' => 220, 'bed_z_mm' => 250])['problems'][0];

        self::assertSame([$kind, $line], [$problem['kind'], $problem['line']]);
    }

    public function test_a_binary_and_a_broken_off_file_are_refused_with_their_line(): void
    {
        foreach (["G28\nG1 X10\n\x7fELF\x02\x01\x01\0\0" => 'Line 3', "G28\nG1 X10 Y" => 'breaks off in the middle of line 2', '' => 'empty', "; only\n; words\n" => 'no command in these 2 lines'] as $text => $words) {
            try {
                $this->compute('gcode', ['file' => Contents::text($text)]);
                self::fail('It was taken.');
            } catch (InputError $e) {
                self::assertSame('file', $e->field);
                self::assertStringContainsString($words, $e->getMessage());
            }
        }
    }

    public function test_memory_does_not_grow_with_the_file(): void
    {
        $pieces = static function (): iterable {
            yield self::START;
            for ($i = 0; $i < 30_000; $i++) {
                yield sprintf("G1 X%d.%03d Y%d E0.05 F3000\n", 10 + $i % 150, $i % 997, 10 + $i % 120);
            }
        };
        $before = memory_get_peak_usage();
        $result = $this->compute('gcode', ['file' => Contents::of($pieces)]);

        self::assertSame(30_005, $result['lines']);
        self::assertLessThan(2_000_000, memory_get_peak_usage() - $before);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function slabs(): iterable
    {
        yield 'x' => [['bed_x_mm' => 220, 'bed_y_mm' => 220, 'axis' => 'x']];
        yield 'y, by its share' => [['bed_x_mm' => 220, 'bed_y_mm' => 210, 'axis' => 'y', 'share' => 0.8]];
        yield 'by its length' => [['bed_x_mm' => 300, 'bed_y_mm' => 300, 'axis' => 'x', 'length_mm' => 150, 'width_mm' => 30]];
    }

    /** @param  array<string, mixed>  $slab */
    #[DataProvider('slabs')]
    public function test_a_cable_test_slab_read_back_travels_what_it_says(array $slab): void
    {
        $made = $this->compute('flex-slab', $slab);
        $read = $this->compute('gcode', ['gcode' => $made['gcode'], 'bed_x_mm' => $slab['bed_x_mm'], 'bed_y_mm' => $slab['bed_y_mm'], 'bed_z_mm' => 250]);

        self::assertSame([], $read['problems']);
        self::assertEqualsWithDelta($made['axis_share'], $read['axis_share'][$slab['axis']], 1e-4);
        self::assertEqualsWithDelta([0.25, 0.5], $read['layers'], 1e-9, 'two layers making half a millimetre');
        $across = $slab['axis'] === 'x' ? 'y' : 'x';
        self::assertEqualsWithDelta($slab['width_mm'] ?? 20, $read['extents'][$across]['max'] - $read['extents'][$across]['min'], 1e-3);
        // the fill covers the slab: its volume is about length · width · 0.5 mm
        $volume = $read['filament_mm'] * M_PI * 1.75 ** 2 / 4;
        self::assertEqualsWithDelta(1.0, $volume / ($made['length_mm'] * ($slab['width_mm'] ?? 20) * 0.5), 0.12);
    }

    public function test_a_slab_that_does_not_fit_is_refused(): void
    {
        $this->assertRefused('flex-slab', ['bed_x_mm' => 220, 'bed_y_mm' => 220, 'axis' => 'z'], 'axis');
        $this->assertRefused('flex-slab', ['bed_x_mm' => 220, 'bed_y_mm' => 220, 'axis' => 'x', 'length_mm' => 300], 'length_mm');
        $this->assertRefused('flex-slab', ['bed_x_mm' => 22_000, 'bed_y_mm' => 220, 'axis' => 'x'], 'bed_x_mm');
        $this->assertRefused('flex-slab', ['bed_x_mm' => 220, 'bed_y_mm' => 220, 'axis' => 'x', 'share' => 9], 'share');
        $this->assertRefused('gcode', [], 'file');
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function read(string $gcode, array $more = []): array
    {
        return $this->compute('gcode', ['gcode' => $gcode] + $more);
    }
}
