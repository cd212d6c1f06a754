<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use DateTimeImmutable;
use DateTimeZone;
use OddBench\Plan\OpenHours;
use PHPUnit\Framework\TestCase;

final class OpenHoursTest extends TestCase
{
    private const DAYTIME = [[480, 720], [765, 1020]];

    public function test_a_week_with_a_day_off_and_one_of_its_own(): void
    {
        $hours = $this->hours(array_fill(1, 5, self::DAYTIME), ['2026-12-08' => [], '2026-12-12' => [[600, 660]]]);
        // Monday at ten
        $from = new DateTimeImmutable('2026-12-07T10:00:00+01:00');

        self::assertSame(['2026-12-07', '2026-12-09', '2026-12-10', '2026-12-11', '2026-12-12'], $hours->days($from, 7));
        $spans = $hours->spans($from, 7);
        self::assertSame([[0, 120], [165, 420]], array_slice($spans, 0, 2), 'what is over is left out');
        self::assertSame([2 * 1440 - 120, 2 * 1440 + 120], $spans[2], 'Wednesday at eight');
        self::assertSame([5 * 1440, 5 * 1440 + 60], $spans[8]);
        self::assertCount(9, $spans);
    }

    /** The clock goes from 2:00 to 3:00 on 28 March 2027 and from 3:00 to 2:00 on 31 October 2027 in central Europe. */
    public function test_summer_time(): void
    {
        $hours = $this->hours(array_fill(1, 7, [[60, 300], [480, 600]]), []);
        $length = static fn (array $span): int => $span[1] - $span[0];

        $spring = $hours->spans(new DateTimeImmutable('2027-03-27T00:00:00+01:00'), 3);
        self::assertSame([240, 120, 180, 120, 240, 120], array_map($length, $spring));
        self::assertSame(1440 + 420, $spring[3][0], 'eight o’clock comes an hour sooner');
        $autumn = $hours->spans(new DateTimeImmutable('2027-10-30T00:00:00+02:00'), 2);
        self::assertSame([240, 120, 300, 120], array_map($length, $autumn));
        self::assertSame(1440 + 540, $autumn[3][0]);
        // a span that lies in the hour that does not exist is none that ends before it begins
        self::assertSame([], array_filter(
            $this->hours(array_fill(1, 7, [[130, 170]]), [])->spans(new DateTimeImmutable('2027-03-28T00:00:00+01:00'), 1),
            static fn (array $span): bool => $span[1] <= $span[0],
        ));
    }

    public function test_until_midnight_and_in_another_zone(): void
    {
        $hours = new OpenHours(array_fill(1, 7, [[1320, 1440]]), [], new DateTimeZone('America/Halifax'));
        // 01:00 UTC is ten in the evening there in summer
        self::assertSame([[60, 180]], $hours->spans(new DateTimeImmutable('2026-07-02T00:00:00Z'), 1));
    }

    public function test_spans_together(): void
    {
        self::assertSame([[5, 10], [20, 25]], OpenHours::both([[0, 10], [20, 30]], [[5, 25]]));
        self::assertSame([[0, 5], [25, 30]], OpenHours::without([[0, 10], [20, 30]], [[5, 25]]));
        self::assertSame([[0, 2], [4, 10]], OpenHours::without([[0, 10]], [[2, 4]]));
        self::assertSame([[0, 12], [20, 30]], OpenHours::any([[20, 30], [0, 5], [5, 10], [3, 12]]));
        self::assertSame(
            [[[], []], []],
            [[OpenHours::both([[0, 5]], [[5, 9]]), OpenHours::without([[0, 5]], [[0, 5]])], OpenHours::any([])],
        );
    }

    /**
     * @param  array<int, list<array{int, int}>>  $week
     * @param  array<string, list<array{int, int}>>  $days
     */
    private function hours(array $week, array $days): OpenHours
    {
        return new OpenHours($week, $days, new DateTimeZone('Europe/Berlin'));
    }
}
