<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Input\InputError;
use OddBench\Plan\FinishDays;
use OddBench\Plan\PromiseDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PromiseDateTest extends TestCase
{
    /** Monday to Friday, from Monday 7 December 2026. */
    private static function days(int $weeks = 8): array
    {
        $days = [];
        for ($day = 0; $day < 7 * $weeks; $day++) {
            if ($day % 7 < 5) {
                $days[] = gmdate('Y-m-d', gmmktime(0, 0, 0, 12, 7 + $day, 2026));
            }
        }

        return $days;
    }

    /** R 4.2: pgamma(c(0, 1, 2, 3, 4, 7, 8, 9), shape = (5/2)^2, rate = 5/2^2), and what falls on a weekend is there on Monday. */
    public function test_a_part_comes_as_r_has_it(): void
    {
        $by = 0.0;
        $sums = array_map(static function (float $one) use (&$by): float {
            return round($by += $one, 9);
        }, FinishDays::arrives(5.0, 2.0, [0, 1, 2, 3, 4, 7, 8, 9]));

        self::assertEqualsWithDelta(self::R, $sums, 1e-8);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function cases(): iterable
    {
        $ways = [
            ['probability' => 0.6, 'hands' => 45, 'alone' => 30],
            ['probability' => 0.3, 'hands' => 120, 'alone' => 400],
            ['probability' => 0.1, 'hands' => 400, 'alone' => 1700],
        ];
        yield 'a part that comes in five days' => [
            ['lines' => $ways, 'ahead_minutes' => 300, 'minutes_per_day' => 240, 'part' => ['mean_days' => 5, 'sd_days' => 2]],
        ];
        yield 'hands that are far away' => [
            ['lines' => $ways, 'ahead_minutes' => 2600, 'minutes_per_day' => 400, 'part' => ['mean_days' => 3, 'sd_days' => 3]],
        ];
        yield 'nothing to wait for' => [['lines' => $ways, 'ahead_minutes' => 50, 'minutes_per_day' => 480]];
        yield 'many hands' => [
            ['lines' => $ways, 'ahead_minutes' => 5000, 'minutes_per_day' => 1600, 'part' => ['mean_days' => 8, 'sd_days' => 5]],
        ];
    }

    /**
     * Played a hundred thousand times with a seed, walking the clock: a shop that opens at minute 0 of a day.
     *
     * @param  array<string, mixed>  $case
     */
    #[DataProvider('cases')]
    public function test_against_playing_it(array $case): void
    {
        mt_srand(11);
        $days = self::days(14);
        $calendar = array_map(
            static fn (string $day): int => (int) round((strtotime("{$day} UTC") - strtotime('2026-12-07 UTC')) / 86400),
            $days,
        );
        $perDay = $case['minutes_per_day'];
        $open = min(600, $perDay);
        $counts = array_fill(0, count($days), 0);
        $plays = 100_000;
        for ($play = 0; $play < $plays; $play++) {
            $u = mt_rand() / mt_getrandmax();
            $way = $case['lines'][$u < 0.6 ? 0 : ($u < 0.9 ? 1 : 2)];
            $wait = isset($case['part']) ? $this->gamma($case['part']['mean_days'], $case['part']['sd_days']) : 0.0;
            $day = 0;
            while ($calendar[$day] < $wait) {
                $day++;
            }
            $work = max($case['ahead_minutes'], $day * $perDay) + $way['hands'];
            $day = (int) floor($work / $perDay);
            $into = (int) floor(($work - $day * $perDay) * $open / $perDay);
            // the clock goes on by the minute: a day's hours, then its night
            $left = $way['alone'];
            while ($left > $open - $into) {
                $left -= 1440 - $into;
                $into = 0;
                $day++;
                if ($left <= 0) {
                    break;
                }
            }
            $counts[$day]++;
        }
        $told = (new PromiseDate)->compute($case + ['days' => $days]);

        $sum = 0;
        foreach ($days as $at => $day) {
            $sum += $counts[$at];
            self::assertEqualsWithDelta($sum / $plays, $told['by'][$day], 0.005, $day);
        }
    }

    public function test_by_hand(): void
    {
        $days = self::days(2);
        $told = static fn (array $more): array => array_intersect_key(
            (new PromiseDate)->compute($more + ['minutes_per_day' => 240, 'days' => $days]),
            ['half' => 1, 'eighty' => 1, 'ninety' => 1],
        );
        $same = static fn (string $day): array => ['half' => $day, 'eighty' => $day, 'ninety' => $day];
        $line = static fn (int $hands, int $alone = 0): array => [['probability' => 1, 'hands' => $hands, 'alone' => $alone]];

        self::assertSame($same('2026-12-07'), $told(['lines' => $line(240)]), 'hands that end with the day end on it');
        self::assertSame($same('2026-12-08'), $told(['lines' => $line(241)]));
        self::assertSame($same('2026-12-08'), $told(['lines' => $line(200), 'ahead_minutes' => 100]));
        self::assertSame($same('2026-12-07'), $told(['lines' => $line(40, 200)]));
        self::assertSame($same('2026-12-08'), $told(['lines' => $line(40, 201)]), 'it is over in the night');
        self::assertSame($same('2026-12-08'), $told(['lines' => $line(40, 1640)]));
        self::assertSame($same('2026-12-09'), $told(['lines' => $line(40, 1641)]));
        // a part in exactly five days comes on Saturday: Monday
        self::assertSame($same('2026-12-14'), $told(['lines' => $line(40), 'part' => ['mean_days' => 5, 'sd_days' => 0]]));
        self::assertSame(
            ['half' => '2026-12-07', 'eighty' => '2026-12-08', 'ninety' => '2026-12-09'],
            $told(['lines' => [
                ['probability' => 0.5, 'hands' => 10],
                ['probability' => 0.3, 'hands' => 250],
                ['probability' => 0.2, 'hands' => 500],
            ]]),
        );
    }

    public function test_promises_that_were_late_before_teach_the_next(): void
    {
        $case = ['lines' => [['probability' => 1, 'hands' => 10]], 'minutes_per_day' => 240, 'days' => self::days(3)];
        $ninety = static fn (array $late): string => (new PromiseDate)->compute($case + ['past_late' => $late])['ninety'];

        self::assertSame('2026-12-07', $ninety([3, 3, 3, 3]), 'four are not enough');
        self::assertSame('2026-12-10', $ninety([3, 3, 3, 3, 3]));
        self::assertSame('2026-12-09', $ninety([0, 0, 0, 0, 0, 0, 0, 2, 2]));
        self::assertSame('2026-12-07', $ninety([-1, -1, -2, 0, 0, 0]), 'nothing is ready before the first day');
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        $good = ['lines' => [['probability' => 1, 'hands' => 10]], 'minutes_per_day' => 240, 'days' => ['2026-12-07', '2026-12-08']];
        yield 'half of it' => [['lines' => [['probability' => 0.5, 'hands' => 10]]] + $good, 'lines', 'add up to 1, not 0.5'];
        yield 'nothing to do' => [['lines' => []] + $good, 'lines', 'add up to 1'];
        yield 'no days' => [['days' => []] + $good, 'days', 'give the days'];
        yield 'a day twice' => [['days' => ['2026-12-07', '2026-12-07']] + $good, 'days.1', 'follow each other'];
        yield 'a day that is none' => [['days' => ['2026-12-07', '2026-02-30']] + $good, 'days.1.day', 'must be a day'];
        yield 'too few days' => [['ahead_minutes' => 5000] + $good, 'days', 'in 0 of 100 only'];
        yield 'no hands' => [['minutes_per_day' => 0] + $good, 'minutes_per_day', 'from 1'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('bad')]
    public function test_bad_input_names_its_field(array $input, string $field, string $words): void
    {
        try {
            (new PromiseDate)->compute($input);
            self::fail('It was taken.');
        } catch (InputError $error) {
            self::assertSame($field, $error->field);
            self::assertStringContainsString($words, $error->getMessage());
        }
    }

    /** G. Marsaglia and W. W. Tsang 2000, A simple method for generating gamma variables. */
    private function gamma(float $mean, float $spread): float
    {
        $shape = ($mean / $spread) ** 2;
        $scale = $mean / $shape;
        $more = 1.0;
        if ($shape < 1) {
            $more = ((mt_rand() + 1) / (mt_getrandmax() + 2)) ** (1 / $shape);
            $shape += 1;
        }
        $d = $shape - 1 / 3;
        $c = 1 / sqrt(9 * $d);
        while (true) {
            $x = sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
            $v = (1 + $c * $x) ** 3;
            if ($v > 0 && log((mt_rand() + 1) / (mt_getrandmax() + 2)) < $x * $x / 2 + $d - $d * $v + $d * log($v)) {
                return $d * $v * $scale * $more;
            }
        }
    }

    private const R = [0.0, 0.001202812, 0.032418208, 0.149591917, 0.343941638, 0.846376968, 0.919684003, 0.960401684];
}
