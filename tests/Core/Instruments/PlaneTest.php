<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\InputError;
use OddBench\Instruments\Plane;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Against what makes a fit one of least squares (Gauss 1809): its residuals stand square on everything fitted. */
final class PlaneTest extends TestCase
{
    public function test_a_plane_is_found_again_also_far_from_the_origin(): void
    {
        foreach ([0, 1500, -1200] as $shift) {
            $points = [];
            foreach ([[0, 0], [200, 10], [30, 180], [150, 160]] as [$x, $y]) {
                $points[] = [(float) $x + $shift, (float) $y - $shift, 0.3 + 0.002 * ($x + $shift) - 0.0015 * ($y - $shift)];
            }
            $plane = Plane::through($points);
            self::assertEqualsWithDelta(0.002, $plane->slopeX, 1e-12);
            self::assertEqualsWithDelta(-0.0015, $plane->slopeY, 1e-12);
            self::assertEqualsWithDelta(0.3, $plane->at(0, 0), 1e-9);
        }
    }

    public function test_residuals_are_square_on_one_on_x_and_on_y(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($round = 0; $round < 25; $round++) {
            $points = [[0.0, 0.0, 0.1], [220.0, 0.0, -0.2], [0.0, 220.0, 0.05]];
            for ($i = 0; $i < 3 + $round; $i++) {
                $points[] = [$random->getInt(0, 2200) / 10, $random->getInt(0, 2200) / 10, $random->getInt(-500, 500) / 1000];
            }
            $plane = Plane::through($points);
            $ones = $xs = $ys = 0.0;
            foreach ($points as [$x, $y, $z]) {
                $left = $z - $plane->at($x, $y);
                $ones += $left;
                $xs += $left * $x;
                $ys += $left * $y;
            }
            self::assertEqualsWithDelta([0.0, 0.0, 0.0], [$ones, $xs, $ys], 1e-9);
        }
    }

    public function test_points_in_a_line_carry_no_plane_whichever_way_it_runs(): void
    {
        foreach ([[1, 0], [0, 1], [3, 7], [-1, 1]] as [$dx, $dy]) {
            try {
                Plane::through([[5.0, 5.0, 0.0], [5.0 + $dx * 20, 5.0 + $dy * 20, 0.1], [5.0 + $dx * 31, 5.0 + $dy * 31, 0.3]]);
                self::fail("Points along {$dx}, {$dy} were taken.");
            } catch (InputError $e) {
                self::assertSame('points', $e->field);
                self::assertStringContainsString('in a line', $e->getMessage());
            }
        }
    }
}
