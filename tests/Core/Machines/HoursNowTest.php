<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use DateTimeImmutable;
use DateTimeZone;
use OddBench\Input\InputError;
use OddBench\Machines\HourCounter;
use OddBench\Machines\HoursJudged;
use OddBench\Machines\HoursNow;
use OddBench\Machines\UsualUse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Hours between two looks at a counter: worked examples by hand, and a simulation of machines that run as they like. */
final class HoursNowTest extends TestCase
{
    public function test_a_worked_example(): void
    {
        // 62 h in the week before, 55 days on: 1200 + 62 · 55 / 7
        $now = $this->judge([[-7, 1138], [0, 1200]], 55);
        self::assertEqualsWithDelta(1687.142857, $now->hours, 1e-6);
        self::assertSame(62.0, round($now->perWeek ?? 0.0, 9));
        self::assertTrue($now->own);
        self::assertFalse($now->read);
    }

    public function test_the_rate_is_that_of_least_squares_through_the_last_counter(): void
    {
        // by hand: days before the last 30, 20, 10; hours before it 150, 90, 70: (30·150 + 20·90 + 10·70) / (900 + 400 + 100) = 5 a day
        $now = $this->judge([[-30, 850], [-20, 910], [-10, 930], [0, 1000]], 14);
        self::assertEqualsWithDelta(35.0, $now->perWeek, 1e-9);
        self::assertEqualsWithDelta(1070.0, $now->hours, 1e-9);
        // what the three steps leave over at 5 a day: (60 − 50)²/10, (20 − 50)²/10, (70 − 50)²/10, sum 140;
        // two weeks’ worth of (35/2)² a week = 43.75 a day: (2·43.75 + 140) / (2 + 2) = 56.875; 14² · 56.875/30 + 14 · 56.875
        $sd = sqrt(196 * 56.875 / 30 + 14 * 56.875);
        self::assertEqualsWithDelta(1070 - 1.6449 * $sd, $now->low, 1e-6);
        self::assertEqualsWithDelta(1070 + 1.6449 * $sd, $now->high, 1e-6);
    }

    public function test_readings_of_half_a_year_ago_say_nothing_of_today(): void
    {
        $lately = $this->judge([[-40, 1000], [0, 1040]], 7);
        $withOld = $this->judge([[-220, 10], [-190, 700], [-40, 1000], [0, 1040]], 7);
        self::assertEqualsWithDelta(1047, $lately->hours, 1e-9);
        self::assertEqualsWithDelta($lately->hours, $withOld->hours, 1e-9);
    }

    public function test_of_one_counter_the_shop_tells_how_much_machines_run_and_without_it_nothing_is_made_up(): void
    {
        $as = $this->judge([[0, 1200]], 28, usual: new UsualUse(50, 14));
        self::assertEqualsWithDelta(1400, $as->hours, 1e-9);
        self::assertFalse($as->own);
        self::assertStringContainsString('as machines here usually run', $as->because);
        // the rate itself by 14 h a week, the four weeks besides: 4²·14² + 4·14²
        self::assertEqualsWithDelta(1400 - 1.6449 * sqrt(20 * 196), $as->low, 1e-6);

        $alone = $this->judge([[0, 1200]], 28);
        self::assertNull($alone->perWeek);
        self::assertSame([1200.0, 1200.0, 1200.0 + 28 * 24], [$alone->hours, $alone->low, $alone->high]);
        self::assertStringContainsString('At least 1200 h', $alone->because);
    }

    public function test_a_counter_that_was_read_now_is_the_hours(): void
    {
        $now = $this->judge([[-7, 1138], [0, 1200]], 0);
        self::assertTrue($now->read);
        self::assertSame([1200.0, 1200.0, 1200.0], [$now->hours, $now->low, $now->high]);
        self::assertTrue($this->judge([[-7, 1138], [0, 1200]], 59 / 1440)->read);
        self::assertFalse($this->judge([[-7, 1138], [0, 1200]], 61 / 1440)->read);
    }

    public function test_a_counter_that_began_anew_goes_on_from_the_one_before(): void
    {
        // 10 h a day: 1000 h on day 0, the board changed on day 3, 70 h on day 10, asked on day 12: 1000 + 30 + 70 + 20
        $now = $this->judge([[-10, 900], [0, 1000], [10, 70]], 12, resets: [3]);
        self::assertEqualsWithDelta(1120, $now->hours, 1e-9);
        // set back before anything was read: nothing is added for it
        self::assertEqualsWithDelta(1020, $this->judge([[-10, 900], [0, 1000]], 2, resets: [-400])->hours, 1e-9);
        // two of them between two readings: what ran between those two nobody knows, what ran before is counted to the last
        self::assertEqualsWithDelta(1140, $this->judge([[-10, 900], [0, 1000], [10, 70]], 12, resets: [3, 5])->hours, 1e-9);
    }

    public function test_no_machine_runs_backwards_or_quicker_than_the_clock(): void
    {
        $never = $this->judge([[-60, 1000], [-30, 1000], [0, 1000]], 60);
        self::assertSame([1000.0, 1000.0], [$never->hours, $never->low]);
        $always = $this->judge([[-10, 760], [0, 1000]], 5, usual: new UsualUse(160, 60));
        self::assertEqualsWithDelta(1120, $always->hours, 1e-9);
        self::assertEqualsWithDelta(1120, $always->high, 1e-9);
        self::assertGreaterThanOrEqual(1000, $always->low);
    }

    /** @return iterable<string, array{list<array{float, float}>, float, string}> */
    public static function wonders(): iterable
    {
        yield 'none' => [[], 1, 'empty'];
        yield 'it fell' => [[[0, 1200], [10, 1199]], 20, 'resets'];
        yield 'quicker than the clock' => [[[0, 1200], [1, 1226]], 20, 'in 24.0 h of the clock'];
        yield 'of tomorrow' => [[[0, 1200], [10, 1210]], 5, 'after the day that is asked for'];
    }

    /** @param  list<array{float, float}>  $counters */
    #[DataProvider('wonders')]
    public function test_what_no_counter_does_is_refused(array $counters, float $asked, string $word): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($word, '/').'/');
        $this->judge($counters, $asked);
    }

    public function test_a_clock_that_is_a_little_quick_is_let_pass(): void
    {
        self::assertEqualsWithDelta(1225.2, $this->judge([[0, 1200], [1, 1225.2]], 1)->hours, 1e-9);
    }

    public function test_nine_in_ten_machines_are_within_the_range(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $share = static fn (): float => $random->getInt(0, 999_999) / 1e6;
        // by the polar form of G. E. P. Box and M. E. Muller, 1958
        $normal = static fn (): float => sqrt(-2 * log(1 - $share())) * cos(2 * M_PI * $share());
        $within = 0;
        for ($i = 0; $i < 2000; $i++) {
            $perDay = 4 + 12 * $share();
            $run = static fn (int $days): float => min(
                24 * $days,
                max(0, $perDay * $days + 0.5 * $perDay * sqrt(7) * sqrt($days) * $normal()),
            );
            $hours = 1000 * $share();
            $at = 0;
            $counters = [[0, $hours]];
            for ($n = $random->getInt(2, 6); $n > 0; $n--) {
                $days = $random->getInt(7, 28);
                $at += $days;
                $counters[] = [$at, $hours += $run($days)];
            }
            $ahead = $random->getInt(3, 40);
            $now = $this->judge($counters, $at + $ahead);
            $truth = $hours + $run($ahead);
            $within += $truth >= $now->low && $truth <= $now->high ? 1 : 0;
        }
        self::assertEqualsWithDelta(0.9, $within / 2000, 0.03);
    }

    public function test_of_readings_that_contradict_each_other_the_newer_ones_stand(): void
    {
        $day = static fn (int $day): DateTimeImmutable => new DateTimeImmutable(sprintf('2026-03-%02d', $day));
        $read = [[1, 100.0], [5, 1900.0], [9, 180.0], [12, 200.0], [15, 20.0], [18, 60.0]];
        $counters = array_map(static fn (array $r): HourCounter => new HourCounter($day($r[0]), $r[1]), $read);
        $kept = (new HoursNow)->plausible($counters, [$day(13)]);
        self::assertSame([100.0, 180.0, 200.0, 20.0, 60.0], array_column($kept, 'hours'));
        self::assertSame([20.0, 60.0], array_column((new HoursNow)->plausible($counters), 'hours'), 'without the day it was set back');
        self::assertSame([], (new HoursNow)->plausible([]));
    }

    public function test_moments_are_read_with_their_zone(): void
    {
        $answer = (new HoursNow)->compute([
            'counters' => [['at' => '2026-10-01T00:00:00+02:00', 'hours' => 100], ['at' => '2026-10-02T00:00:00+02:00', 'hours' => 110]],
            'asked_at' => '2026-10-02T00:00:00Z',
        ]);
        self::assertEqualsWithDelta(110 + 20 / 24, $answer['hours'], 1e-9);
        $this->expectExceptionMessage('asked_at must be a day or a moment');
        (new HoursNow)->compute(['counters' => [['at' => '2026-10-01', 'hours' => 1]], 'asked_at' => '2026-02-30']);
    }

    /**
     * @param  array<int, array{float|int, float|int}>  $counters  day, hours
     * @param  list<float>  $resets
     */
    private function judge(array $counters, float $asked, array $resets = [], ?UsualUse $usual = null): HoursJudged
    {
        $day = static fn (float $day): DateTimeImmutable => (new DateTimeImmutable('2026-03-01', new DateTimeZone('UTC')))
            ->modify(sprintf('%+d seconds', round(86_400 * $day)));

        return (new HoursNow)->judge(
            array_values(array_map(static fn (array $c): HourCounter => new HourCounter($day($c[0]), $c[1]), $counters)),
            $day($asked),
            array_map($day, $resets),
            $usual,
        );
    }
}
