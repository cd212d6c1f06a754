<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Rig\PhasePlane;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

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
        $result = $this->read(
            self::START."M190 S60\nG0 X10 Y20 Z0.2 F6000\nG1 X110 E4\nG1 Y70 E2\nG1 E-1\nG0 Z0.4\nG0 X10\nG1 E1\nG1 Y20 E2\n; nothing\n",
        );

        self::assertSame(
            ['x' => ['min' => 10.0, 'max' => 110.0], 'y' => ['min' => 20.0, 'max' => 70.0], 'z' => ['min' => 0.2, 'max' => 0.4]],
            $result['extents'],
        );
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
        self::assertEqualsWithDelta(
            ['min' => 30.0, 'max' => 50.0],
            $this->read(self::START."G0 X30 Y50\nG3 X70 Y50 R20 E5")['extents']['y'],
            0.02,
        );
    }

    public function test_words_need_no_blanks_between_them(): void
    {
        foreach (['G1X110Y70.5E4F6000', 'g1 x110y70.5 e4f6000', 'G01 X 110 Y 70.5 E 4 F 6000', 'N7G1X110Y70.5E4F6000'] as $line) {
            $result = $this->read(self::START."G0X10Y20Z.2\n{$line}");
            self::assertSame(
                ['x' => ['min' => 10.0, 'max' => 110.0], 'y' => ['min' => 20.0, 'max' => 70.5], 'z' => ['min' => 0.2, 'max' => 0.2]],
                $result['extents'],
                $line,
            );
            self::assertSame([], $result['problems'], $line);
        }
    }

    public function test_arcs_in_the_other_planes(): void
    {
        // ISO 6983-1: G18 is the plane of Z and X, G3 turns Z to X; a quarter about X10 Z10 from X10 Z20 to X20 Z10
        $zx = $this->read("G28\nG0 X10 Y5 Z20\nG18\nG3 X20 Z10 I0 K-10 F600")['travel_extents'];
        self::assertEqualsWithDelta([20.0, 5.0, 20.0], [$zx['x']['max'], $zx['y']['max'], $zx['z']['max']], 0.02);
        // the other way round it goes through X0 and Z0
        $long = $this->read("G28\nG0 X10 Y5 Z20\nG18\nG2 X20 Z10 I0 K-10 F600")['travel_extents'];
        self::assertEqualsWithDelta([0.0, 0.0], [$long['x']['min'], $long['z']['min']], 0.02);
        $yz = $this->read("G28\nG0 X1 Y20 Z10\nG19\nG3 Y10 Z20 J-10 K0 F600")['travel_extents'];
        self::assertEqualsWithDelta([1.0, 20.0, 20.0], [$yz['x']['max'], $yz['y']['max'], $yz['z']['max']], 0.02);
        self::assertSame(
            'arc',
            $this->read("G28\nG0 X10 Y0\nG3 X0 Y12 I-10 J0 F600")['problems'][0]['kind'],
            'its end is 2 mm beside the circle',
        );
    }

    public function test_an_arc_of_a_hundred_kilometres_is_no_more_chords_than_another(): void
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $result = $this->read("G28\nG2 X10 Y0 I100000 J0 F6000", ['bed_x_mm' => 220, 'bed_y_mm' => 220]);

        self::assertSame(['arc', 'outside'], array_keys($result['problem_counts']));
        self::assertLessThan(8_000_000, memory_get_peak_usage() - $before);
    }

    public function test_each_axis_is_homed_by_itself(): void
    {
        self::assertSame([], $this->read("G28 X\nG1 X10 F600")['problems']);
        self::assertSame(
            [['no-home', 2]],
            array_map(static fn (array $p): array => [$p['kind'], $p['line']], $this->read("G28 X\nG1 X10 Y10 F600")['problems']),
        );
        self::assertSame([], $this->read("G28 X Y\nG28 Z\nG1 X10 Y10 Z1 F600")['problems']);
        self::assertSame([], $this->read('G28 X')['problems'], 'an axis without a number is no broken end here');
    }

    public function test_a_set_position_shifts_what_follows(): void
    {
        // called 0 at 100 mm: X150 is at 250 mm, outside of 220
        $result = $this->read("G28\nG1 X100 F6000\nG92 X0\nG1 X50\nG1 X150", ['bed_x_mm' => 220]);
        self::assertSame([['outside', 5]], array_map(static fn (array $p): array => [$p['kind'], $p['line']], $result['problems']));
        self::assertEqualsWithDelta(250.0, $result['travel_extents']['x']['max'], 1e-9);
    }

    public function test_numbers_of_e_that_were_meant_the_other_way(): void
    {
        $lengths = [20, 35, 12, 50, 8, 27, 41, 16, 33, 22, 9, 60];
        $relative = $absolute = '';
        $x = $e = 0;
        foreach ($lengths as $i => $length) {
            $x += $i % 2 === 0 ? $length : -$length;
            $e += 0.033 * $length;
            $relative .= sprintf("G1 X%d Y%d E%.5f F1800\n", 60 + $x, $i, 0.033 * $length);
            $absolute .= sprintf("G1 X%d Y%d E%.5f F1800\n", 60 + $x, $i, $e);
        }
        $start = "G21\nG90\nM104 S210\nG28\nG0 X60 Y0 Z0.2 F6000\n";
        $kinds = fn (string $gcode): array => array_unique(array_column($this->read($gcode)['problems'], 'kind'));

        self::assertSame([], $kinds("{$start}M83\n{$relative}"));
        self::assertSame([], $kinds("{$start}M82\nG92 E0\n{$absolute}"));
        self::assertSame(['mixed-modes'], $kinds("{$start}M82\nG92 E0\n{$relative}"));
        self::assertSame(['mixed-modes'], $kinds("{$start}M83\n{$absolute}"));
        self::assertSame(['mixed-modes'], $kinds("{$start}M83\nG1 X70 Y1 E30 F1800"), 'seven square millimetres of line');
    }

    public function test_what_is_no_gcode_is_refused(): void
    {
        foreach ([
            "Dear shop,\nthe printer stops after an hour.\nPlease call me.",
            "solid cube\nfacet normal 0 0 1\nouter loop\nendloop",
            '{"traits": {"motion": "corexy"}}',
            "<html>\n<body>\n</body>",
        ] as $text) {
            $this->assertRefused('gcode', ['gcode' => $text], 'file');
        }
        self::assertSame(
            [],
            $this->read("START_PRINT BED=60 HOTEND=210\nG28\nM117 Hello G1 X9\nG1 X10 F600\nEND_PRINT")['problems'],
            'macros by name and texts are no mistakes',
        );
    }

    public function test_a_line_that_never_ends_is_refused_and_a_long_comment_is_not(): void
    {
        $endless = static function (): iterable {
            yield "G28\n";
            for ($i = 0; $i < 3000; $i++) {
                yield str_repeat('G1X1', 1000);
            }
        };
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $this->assertRefused('gcode', ['file' => Contents::of($endless)], 'file');
        self::assertLessThan(1_000_000, memory_get_peak_usage() - $before);
        self::assertSame(2, $this->read("G28\n; ".str_repeat('x', 100_000))['lines']);
    }

    /** @return iterable<string, array{int}> */
    public static function files(): iterable
    {
        for ($seed = 1; $seed <= 50; $seed++) {
            yield "file {$seed}" => [$seed];
        }
    }

    /** Circles, fills, tiny segments and travels against the phase-plane planner of MotionTest. */
    #[DataProvider('files')]
    public function test_times_agree_with_the_reference_planner(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $points = [[0.0, 0.0, 25.0]];
        $go = static function (float $x, float $y, float $speed) use (&$points): void {
            $points[] = [$x, $y, $speed];
        };
        for ($part = 0; $part < 6; $part++) {
            $speed = $random->getInt(20, 200);
            [$cx, $cy] = [$random->getInt(40, 160), $random->getInt(40, 160)];
            $go($cx, $cy, 150);
            match ($random->getInt(0, 2)) {
                // a wall of 0.2 mm segments
                0 => array_map(static fn (int $i) => $go($cx + 15 * sin($i / 75), $cy + 15 - 15 * cos($i / 75), $speed), range(1, 470)),
                1 => array_map(
                    static fn (int $i) => $go($cx + ($i % 4 < 2 ? 0 : 20), $cy + 0.45 * intdiv($i + 1, 2), $speed),
                    range(1, 40),
                ),
                default => array_map(
                    static fn (int $i) => $go($cx + $random->getInt(-200, 200) / 10, $cy + $random->getInt(-200, 200) / 10, $speed),
                    range(1, 20),
                ),
            };
        }
        [$acceleration, $deviation] = [$random->getInt(500, 5000), $random->getInt(5, 80) / 1000];
        $gcode = "G28\n";
        $moves = [];
        for ($i = 1; $i < count($points); $i++) {
            $gcode .= sprintf("G1 X%.5f Y%.5f F%d\n", $points[$i][0], $points[$i][1], 60 * $points[$i][2]);
            [$dx, $dy] = [$points[$i][0] - $points[$i - 1][0], $points[$i][1] - $points[$i - 1][1]];
            if (hypot($dx, $dy) > 1e-4) {
                $moves[] = [hypot($dx, $dy), atan2($dy, $dx), (float) $points[$i][2]];
            }
        }
        $expected = PhasePlane::seconds($moves, $acceleration, $deviation);

        self::assertEqualsWithDelta(
            1.0,
            $this->read($gcode, ['acceleration_mm_s2' => $acceleration, 'junction_deviation_mm' => $deviation])['estimated_s'] / $expected,
            0.05,
        );
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
        self::assertSame(
            [['checksum', 2], ['line-number', 3]],
            array_map(static fn (array $p): array => [$p['kind'], $p['line']], $wrong['problems']),
        );
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
        yield 'F0' => ["G28\nG1 X10 F0", 'feed', 2];
        yield 'a negative feed' => ["G28\nG1 X10 F-600", 'feed', 2];
        yield 'a feed of light' => ["G28\nG1 X10 F900000", 'feed', 2];
        yield 'beyond any machine' => ["G28\nG1 X99999999 F600", 'absurd', 2];
        yield 'hotter than iron melts' => ["G28\nM104 S1800", 'absurd', 2];
        yield 'colder than nothing' => ["G28\nM140 S-60", 'absurd', 2];
        yield 'a wait of a year' => ["G28\nG4 S31536000", 'absurd', 2];
        yield 'two commands on a line' => ["G28\nG90 G1 X10 F600", 'two-commands', 2];
        yield 'a spline' => ["G28\nG5 X10 Y10 I1 J1 P1 Q1", 'not-followed', 2];
        yield 'a letter without a number' => ["G28\nG1 X Y10 F600\nG1 X1", 'unreadable', 2];
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
        foreach ([
            "G28\nG1 X10\n\x7fELF\x02\x01\x01\0\0" => 'Line 3',
            "G28\nG1 X10 Y" => 'breaks off in the middle of line 2',
            '' => 'empty',
            "; only\n; words\n" => 'no command in these 2 lines',
        ] as $text => $words) {
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
        memory_reset_peak_usage();
        $before = memory_get_usage();
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
        $read = $this->compute(
            'gcode',
            ['gcode' => $made['gcode'], 'bed_x_mm' => $slab['bed_x_mm'], 'bed_y_mm' => $slab['bed_y_mm'], 'bed_z_mm' => 250],
        );

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
