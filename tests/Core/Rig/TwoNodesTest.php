<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use OddBench\Rig\Axes;
use OddBench\Rig\TwoNodes;
use PHPUnit\Framework\TestCase;

/** The physics of the stand-in against closed forms. */
final class TwoNodesTest extends TestCase
{
    /** One lump alone: T = Tₐ + P/h · (1 − e^(−ht/C)). */
    public function test_a_single_lump_warms_along_its_exponential(): void
    {
        $nodes = new TwoNodes(14.0, 40.0, 0.0, 22.0);
        for ($i = 1; $i <= 3000; $i++) {
            $nodes->step(30.0, 0.1, 0.5, 0.1);
            if ($i % 500 === 0) {
                $t = $i * 0.1;
                self::assertEqualsWithDelta(22.0 + 300.0 * (1 - exp(-0.1 * $t / 14.0)), $nodes->t1, 1e-6);
                self::assertEqualsWithDelta(22.0, $nodes->t2, 1e-12, 'nothing reaches the second');
            }
        }
    }

    /** Two lumps: the linear system solved by its eigenvalues. */
    public function test_two_lumps_cool_as_the_linear_system_says(): void
    {
        [$c1, $c2, $g, $h1, $h2] = [500.0, 250.0, 6.0, 1.0, 1.0];
        $nodes = new TwoNodes($c1, $c2, $g, 0.0, 60.0, 20.0);
        [$a, $b, $c, $d] = [-($g + $h1) / $c1, $g / $c1, $g / $c2, -($g + $h2) / $c2];
        $root = sqrt(($a - $d) ** 2 + 4 * $b * $c);
        [$l1, $l2] = [($a + $d + $root) / 2, ($a + $d - $root) / 2];
        // T1 = p·e^(l1·t) + q·e^(l2·t), with p and q from T1(0) and T1'(0)
        $slope = $a * 60.0 + $b * 20.0;
        $q = ($slope - $l1 * 60.0) / ($l2 - $l1);
        $p = 60.0 - $q;
        for ($i = 1; $i <= 4000; $i++) {
            $nodes->step(0.0, $h1, $h2, 0.1);
        }
        self::assertEqualsWithDelta($p * exp($l1 * 400) + $q * exp($l2 * 400), $nodes->t1, 1e-6);
    }

    public function test_in_balance_what_goes_in_goes_out(): void
    {
        $nodes = new TwoNodes(14.0, 40.0, 0.035, 22.0);
        for ($i = 0; $i < 60_000; $i++) {
            $nodes->step(20.0, 0.055, 0.6, 0.1);
        }
        // 20 W = h1 (T1 − Ta) + h2 (T2 − Ta)
        self::assertEqualsWithDelta(20.0, 0.055 * ($nodes->t1 - 22) + 0.6 * ($nodes->t2 - 22), 1e-6);
    }

    /** From rest to rest: l/v + v/a when the speed is reached, 2·√(l/a) when it is not. */
    public function test_moves_take_the_time_of_their_trapezoid(): void
    {
        self::assertEqualsWithDelta(100 / 50 + 50 / 1000, Axes::seconds(100, 50, 1000), 1e-12);
        self::assertEqualsWithDelta(2 * sqrt(1 / 1000), Axes::seconds(1, 50, 1000), 1e-12);
        self::assertEqualsWithDelta(Axes::seconds(2.5, 50, 1000), 2 * 50 / 1000, 1e-12, 'where the triangle becomes a trapezoid');
        self::assertSame(0.0, Axes::seconds(0, 50, 1000));
    }
}
