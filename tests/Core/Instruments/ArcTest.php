<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Instruments\Arc;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against the circle's own geometry (ISO 6983-1 for the meaning of I, J, R and the two directions). */
final class ArcTest extends TestCase
{
    /**
     * @return iterable<string, array{array{float, float}, array{float, float}, float|null, float|null, float|null, bool, array{float, float}, float}> start, end, i, j, r, clockwise, centre, sweep in degrees
     */
    public static function arcs(): iterable
    {
        yield 'a quarter, counter-clockwise' => [[10, 0], [0, 10], -10, 0, null, false, [0, 0], 90];
        yield 'the other three quarters' => [[10, 0], [0, 10], -10, 0, null, true, [0, 0], 270];
        yield 'a whole circle' => [[10, 0], [10, 0], -10, 0, null, true, [0, 0], 360];
        yield 'J alone' => [[5, 5], [5, 25], null, 10, null, false, [5, 15], 180];
        yield 'a radius, the shorter way' => [[10, 0], [0, 10], null, null, 10, false, [0, 0], 90];
        yield 'a negative radius, the longer way' => [[10, 0], [0, 10], null, null, -10, false, [10, 10], 270];
        yield 'a radius, clockwise' => [[0, 10], [10, 0], null, null, 10, true, [0, 0], 90];
        yield 'half a circle by its radius' => [[-4, 0], [4, 0], null, null, 4, true, [0, 0], 180];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  array{float, float}  $centre
     */
    #[DataProvider('arcs')]
    public function test_chords_stand_on_the_circle_and_add_up_to_the_arc(
        array $from,
        array $to,
        ?float $i,
        ?float $j,
        ?float $r,
        bool $clockwise,
        array $centre,
        float $sweep,
    ): void {
        $points = Arc::points(
            self::point($from, 0),
            self::point($to, 3),
            array_filter(['I' => $i, 'J' => $j, 'R' => $r], is_float(...)),
            $clockwise,
        );
        $radius = hypot($from[0] - $centre[0], $from[1] - $centre[1]);
        $length = 0.0;
        $turned = 0.0;
        [$x, $y, $z] = [$from[0], $from[1], 0.0];
        foreach ($points as [$px, $py, $pz]) {
            self::assertEqualsWithDelta($radius, hypot($px - $centre[0], $py - $centre[1]), 1e-9);
            $chord = hypot($px - $x, $py - $y);
            self::assertLessThanOrEqual(0.0201, $chord ** 2 / (8 * $radius), 'it leaves the arc by two hundredths of a millimetre');
            // cross product of the two radii: left of the last one when it goes counter-clockwise
            $turned += ($x - $centre[0]) * ($py - $centre[1]) - ($y - $centre[1]) * ($px - $centre[0]);
            self::assertGreaterThan($z, $pz, 'a helix rises evenly');
            $length += $chord;
            [$x, $y, $z] = [$px, $py, $pz];
        }

        self::assertSame([(float) $to[0], (float) $to[1], 3.0], [$x, $y, $z], 'it ends where it was told to, to the bit');
        self::assertEqualsWithDelta($radius * deg2rad($sweep), $length, 0.002 * $radius * deg2rad($sweep) + 0.15);
        self::assertLessThan($radius * deg2rad($sweep), $length, 'chords are shorter than the arc');
        self::assertSame($clockwise, $turned < 0);
    }

    public function test_without_a_centre_there_are_no_chords(): void
    {
        [$from, $to] = [self::point([0, 0], 0), self::point([10, 0], 0)];

        self::assertSame([], Arc::points($from, $to, [], true), 'neither I, J nor R');
        self::assertSame([], Arc::points($from, $to, ['R' => 4.9], true), 'a radius that does not reach');
        self::assertSame([], Arc::points($from, $from, ['R' => 5.0], true), 'a radius names no centre of a whole circle');
        self::assertNotSame([], Arc::points($from, $to, ['R' => 5.0], true));
    }

    /**
     * @param  array{float, float}  $at
     * @return array{X: float, Y: float, Z: float, E: float}
     */
    private static function point(array $at, float $z): array
    {
        return ['X' => (float) $at[0], 'Y' => (float) $at[1], 'Z' => $z, 'E' => 0.0];
    }
}
