<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Instruments\Motion;
use OddBench\Rig\PhasePlane;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Against the time-optimal speed along the path found the slow way. */
final class MotionTest extends TestCase
{
    /** @return iterable<string, array{int, float, float}> seed, acceleration, junction deviation */
    public static function paths(): iterable
    {
        yield 'usual' => [1, 1000.0, 0.05];
        yield 'brisk' => [2, 3000.0, 0.02];
        yield 'gentle' => [3, 500.0, 0.1];
        yield 'stops at nearly every corner' => [4, 1500.0, 0.001];
    }

    #[DataProvider('paths')]
    public function test_a_random_path_takes_what_the_phase_plane_says(int $seed, float $acceleration, float $deviation): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $motion = new Motion($acceleration, $deviation);
        $moves = [];
        // more than its batch of 96, so that what is kept back matters
        for ($i = 0; $i < 150; $i++) {
            $angle = $random->getInt(0, 6283) / 1000;
            $length = PhasePlane::GRID_MM * $random->getInt(50, 600);
            $speed = $random->getInt(1500, 8000) / 100;
            $moves[] = [$length, $angle, $speed];
            $motion->add($length * cos($angle), $length * sin($angle), 0.0, 0.0, $speed);
        }
        $expected = PhasePlane::seconds($moves, $acceleration, $deviation);

        self::assertEqualsWithDelta($expected, $motion->seconds(), 0.002 * $expected);
    }

    public function test_no_plan_is_faster_than_its_speeds_nor_slower_than_stopping_at_every_corner(): void
    {
        $random = new Randomizer(new Mt19937(9));
        $motion = new Motion(1000, 0.05);
        $fastest = $slowest = 0.0;
        for ($i = 0; $i < 500; $i++) {
            [$dx, $dy, $speed] = [$random->getInt(-900, 900) / 100, $random->getInt(-900, 900) / 100, $random->getInt(1000, 12000) / 100];
            $motion->add($dx, $dy, 0.0, 0.0, $speed);
            $length = hypot($dx, $dy);
            $fastest += $length / $speed;
            $slowest += $length >= $speed ** 2 / 1000 ? $length / $speed + $speed / 1000 : 2 * sqrt($length / 1000);
        }

        self::assertGreaterThan($fastest, $motion->seconds());
        self::assertLessThan($slowest, $motion->seconds());
    }

    public function test_asking_twice_and_pausing(): void
    {
        $motion = new Motion(1000, 0.05);
        $motion->add(100, 0, 0, 0, 50);
        self::assertEqualsWithDelta(2.05, $motion->seconds(), 1e-9);
        self::assertEqualsWithDelta(2.05, $motion->seconds(), 1e-9, 'asking takes no time');
        $motion->rest(1.25);
        self::assertEqualsWithDelta(3.3, $motion->seconds(), 1e-9);
    }
}
