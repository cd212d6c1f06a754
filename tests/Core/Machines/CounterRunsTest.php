<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use DateTimeImmutable;
use OddBench\Input\InputError;
use OddBench\Machines\CounterRuns;
use OddBench\Machines\HourCounter;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Worked by hand, in days of June 2026. */
final class CounterRunsTest extends TestCase
{
    public function test_a_rate_goes_through_the_last_reading_by_least_squares(): void
    {
        // from the last: 10 days and 90 h, 20 days and 160 h: (10·90 + 20·160) / (10² + 20²)
        $runs = $this->runs([[1, 0.0], [11, 70.0], [21, 160.0]], 26);

        self::assertEqualsWithDelta(4100 / 500, $runs->rate(), 1e-9);
        self::assertEqualsWithDelta(5.0, $runs->gone, 1e-9);
        self::assertEqualsWithDelta(160.0, $runs->hours(8.2), 1e-9, 'what ran since is for others to say');
        // 70 and 90 h where 82 were to come, each over 10 days
        self::assertEqualsWithDelta([(12 ** 2 + 8 ** 2) / 10, 2, 20.0], $runs->leftOver(8.2), 1e-9);
    }

    public function test_readings_may_come_in_any_order(): void
    {
        self::assertEquals($this->runs([[1, 0.0], [11, 70.0], [21, 160.0]], 26), $this->runs([[21, 160.0], [1, 0.0], [11, 70.0]], 26));
    }

    public function test_another_counter_goes_on_from_where_the_one_before_stood_with_what_ran_unread(): void
    {
        // set back on the 13th: two days unread since the 11th
        $runs = $this->runs([[1, 1000.0], [11, 1080.0], [15, 16.0], [21, 64.0]], 21, [13]);

        self::assertEqualsWithDelta(1080.0 + 2 * 8.0 + 64.0, $runs->hours(8.0), 1e-9);
        self::assertEqualsWithDelta((10 * 80 + 6 * 48) / (10 ** 2 + 6 ** 2), $runs->rate(), 1e-9, 'each through its own last reading');
        self::assertSame(2, $runs->leftOver(8.0)[1], 'from one counter to the other is no step');
        // set back only when the new one was read first: it ran unread until then
        $late = $this->runs([[1, 1000.0], [11, 1080.0], [15, 16.0], [21, 64.0]], 21, [15]);
        self::assertEqualsWithDelta(1144.0 + 4 * 8.0, $late->hours(8.0), 1e-9);
    }

    public function test_one_reading_tells_no_rate_and_old_ones_none_either(): void
    {
        self::assertNull($this->runs([[5, 300.0]], 9)->rate());
        $old = new DateTimeImmutable('2025-01-01T00:00:00Z');
        $now = new DateTimeImmutable('2026-06-01T00:00:00Z');
        self::assertNull(CounterRuns::of([new HourCounter($old, 0.0), new HourCounter($now, 900.0)], $now, [])->rate());
    }

    public function test_no_machine_runs_quicker_than_the_clock(): void
    {
        self::assertSame(24.0, $this->runs([[1, 0.0], [2, 24.9]], 3)->rate());
    }

    /** @param  list<array{int, float}>  $readings */
    #[TestWith([[], 'counters', 'is empty'])]
    #[TestWith([[[1, 100.0], [3, 90.0]], 'counters', 'The counter fell from 100 h to 90.0 h by 2026-06-03'])]
    #[TestWith([[[1, 100.0], [3, 150.0]], 'counters', 'ran 50.0 h by 2026-06-03, in 48.0 h of the clock'])]
    #[TestWith([[[1, 100.0], [29, 110.0]], 'asked_at', 'was read on 2026-06-29'])]
    public function test_what_cannot_be_is_refused(array $readings, string $field, string $words): void
    {
        try {
            $this->runs($readings, 20);
            self::fail('it was taken');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    /**
     * @param  list<array{int, float}>  $readings  day of June, hours
     * @param  list<int>  $resets
     */
    private function runs(array $readings, int $asked, array $resets = []): CounterRuns
    {
        return CounterRuns::of(
            array_map(static fn (array $r): HourCounter => new HourCounter(self::day($r[0]), $r[1]), $readings),
            self::day($asked),
            array_map(self::day(...), $resets),
        );
    }

    private static function day(int $day): DateTimeImmutable
    {
        return new DateTimeImmutable(sprintf('2026-06-%02dT00:00:00Z', $day));
    }
}
