<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use OddBench\Practice\Calibration;
use PHPUnit\Framework\TestCase;

final class CalibrationTest extends TestCase
{
    public function test_tenths_and_brier_score_by_hand(): void
    {
        // (0.05−0)², (0.95−1)², (0.55−1)², (0.58−0)², (1−1)²: 0.0025 + 0.0025 + 0.2025 + 0.3364 + 0 = 0.5439, over 5
        $of = Calibration::of([[0.05, false], [0.95, true], [0.55, true], [0.58, false], [1.0, true]]);

        self::assertSame(5, $of->count);
        self::assertEqualsWithDelta(0.10878, $of->brier, 1e-9);
        self::assertSame([0.0, 0.5, 0.9], array_column($of->rows, 'from'));
        self::assertSame([1, 2, 2], array_column($of->rows, 'count'));
        self::assertEqualsWithDelta(0.565, $of->rows[1]['told'], 1e-9);
        self::assertSame(0.5, $of->rows[1]['was']);
        self::assertSame(1.0, $of->rows[2]['was']);
    }

    public function test_nothing_told_is_no_error(): void
    {
        self::assertSame([0, 0.0, []], [Calibration::of([])->count, Calibration::of([])->brier, Calibration::of([])->rows]);
    }
}
