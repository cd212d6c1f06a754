<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use InvalidArgumentException;
use OddBench\Plan\Little;
use PHPUnit\Framework\TestCase;

final class LittleTest extends TestCase
{
    private const DAY = 86_400;

    public function test_by_hand(): void
    {
        // ten days: one there all the time, one for days 2 to 6, one that came on day 8 and is still there, one that was gone before
        $week = Little::of(
            [[-5 * self::DAY, null], [2 * self::DAY, 6 * self::DAY], [8 * self::DAY, null], [-9 * self::DAY, -self::DAY]],
            0,
            10 * self::DAY,
        );

        self::assertEqualsWithDelta(1.6, $week->work, 1e-12);
        self::assertEqualsWithDelta(0.3, $week->rate, 1e-12);
        self::assertEqualsWithDelta(16 / 3, $week->time, 1e-12);
        self::assertSame([2, 1, 4.0], [$week->came, $week->left, $week->stay]);
    }

    /** Work counted through the span is rate times time counted from the stays, whatever they are. */
    public function test_work_is_rate_times_time(): void
    {
        mt_srand(3);
        for ($case = 0; $case < 200; $case++) {
            $stays = array_map(static function (): array {
                $in = mt_rand(-40, 20) * 3600;

                return [$in, mt_rand(0, 3) === 0 ? null : $in + mt_rand(0, 60) * 3600];
            }, range(0, mt_rand(0, 30)));
            $week = Little::of($stays, 0, 7 * self::DAY);

            self::assertEqualsWithDelta($week->work, $week->rate * $week->time, 1e-9);
        }
        self::assertSame([0.0, 0.0, 0], [Little::of([], 0, 1)->work, Little::of([], 0, 1)->time, Little::of([], 0, 1)->left]);
        $this->expectException(InvalidArgumentException::class);
        Little::of([], 5, 5);
    }
}
