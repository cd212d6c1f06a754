<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Instruments\GcodeProblems;
use OddBench\Instruments\GcodeTrace;
use PHPUnit\Framework\TestCase;

final class GcodeTraceTest extends TestCase
{
    public function test_travel_and_printing_have_their_own_extents(): void
    {
        $trace = new GcodeTrace;
        $trace->move(self::point(0, 0, 0), self::point(200, 5, 10), false);
        $trace->move(self::point(200, 5, 10), self::point(20, 30, 0.2), false);
        $trace->move(self::point(20, 30, 0.2), self::point(60, -1, 0.2), true);

        self::assertSame(
            ['X' => ['min' => 20.0, 'max' => 200.0], 'Y' => ['min' => -1.0, 'max' => 30.0], 'Z' => ['min' => 0.2, 'max' => 10.0]],
            $trace->moved,
        );
        self::assertSame(
            ['X' => ['min' => 20.0, 'max' => 60.0], 'Y' => ['min' => -1.0, 'max' => 30.0], 'Z' => ['min' => 0.2, 'max' => 0.2]],
            $trace->printed,
        );
    }

    public function test_a_height_met_again_is_the_same_layer(): void
    {
        $trace = new GcodeTrace;
        foreach ([0.2, 0.4, 0.2, 0.4 + 1e-7, 0.1 + 0.5] as $z) {
            $trace->move(self::point(0, 0, $z), self::point(1, 0, $z), true);
        }
        $trace->move(self::point(0, 0, 9), self::point(1, 0, 9), false);

        self::assertSame([0.2, 0.4, 0.6], $trace->layers(), 'travel makes no layer');
    }

    public function test_only_what_goes_beyond_the_furthest_is_filament_used(): void
    {
        $trace = new GcodeTrace;
        // 10 out, 5 back, 5 out again: 10; then 2 more; and a last pull back takes nothing away
        foreach ([10, -5, 5, 2, -6] as $mm) {
            $trace->extrude($mm);
        }

        self::assertSame(12.0, $trace->filament);
    }

    public function test_every_temperature_is_told_once(): void
    {
        $trace = new GcodeTrace;
        foreach ([210, 215, 210, 0] as $celsius) {
            $trace->heat('hotend', $celsius);
        }
        $trace->heat('bed', 60);

        self::assertSame(['hotend' => [210.0, 215.0, 0.0], 'bed' => [60.0]], $trace->temperatures);
    }

    public function test_what_is_held_is_bounded_and_what_is_counted_is_not(): void
    {
        $trace = new GcodeTrace;
        $problems = new GcodeProblems;
        for ($i = 1; $i <= 25_000; $i++) {
            $trace->move(self::point(0, 0, $i), self::point(1, 0, $i), true);
            $trace->heat('bed', $i / 1000);
            $problems->add($i, 'kind-'.$i % 20, "It is wrong in {$i}.");
        }

        self::assertCount(20_000, $trace->layers());
        self::assertCount(200, $trace->temperatures['bed']);
        self::assertCount(40, $problems->told);
        self::assertSame(25_000, array_sum($problems->counts));
        self::assertSame(range(1, 40), array_column($problems->told, 'line'), 'the first ones are told');
    }

    public function test_one_kind_does_not_crowd_out_the_others(): void
    {
        $problems = new GcodeProblems;
        for ($i = 1; $i <= 100; $i++) {
            $problems->add($i, 'outside', 'X goes too far.');
        }
        $problems->add(101, 'cold-extrusion', 'It extrudes at 20 °C.');

        self::assertSame(['outside' => 100, 'cold-extrusion' => 1], $problems->counts);
        self::assertSame([1, 2, 3, 4, 5, 101], array_column($problems->told, 'line'));
    }

    /** @return array{X: float, Y: float, Z: float, E: float} */
    private static function point(float $x, float $y, float $z): array
    {
        return ['X' => $x, 'Y' => $y, 'Z' => $z, 'E' => 0.0];
    }
}
