<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\FailureCount;
use OddBench\Fleet\SparesForecast;
use OddBench\Input\InputError;
use PHPUnit\Framework\TestCase;

/** Against R 4.2: q <- 1 - exp((ages/2817.651)^2.5 - ((ages + 160)/2817.651)^2.5); the products multiplied out, cumsum. */
final class SparesForecastTest extends TestCase
{
    public function test_five_fans(): void
    {
        $told = (new SparesForecast)->compute(['parts' => array_map(
            static fn (int $age): array => ['shape' => 2.5, 'scale_h' => 2817.651, 'age_h' => $age, 'hours_ahead' => 160],
            [500, 1500, 2000, 2400, 3100],
        )]);

        self::assertEqualsWithDelta(0.4243611218, $told['expected'], 1e-9);
        foreach ([0.637347945877, 0.942648464035, 0.995775877050, 0.999867730917] as $n => $atMost) {
            self::assertEqualsWithDelta(1 - $atMost, $told['at_least'][$n + 1], 1e-10);
        }
        self::assertSame(['0.5' => 0, '0.8' => 1, '0.9' => 1, '0.95' => 2, '0.99' => 2], $told['quantiles']);
        self::assertSame('Of 5 in use 0.4 are expected to fail; 1 is enough in 9 of 10 cases.', $told['because']);
    }

    /** R: q <- (1:40)/100 */
    public function test_forty_of_all_chances(): void
    {
        $count = FailureCount::of(array_map(static fn (int $i): float => $i / 100, range(1, 40)));

        self::assertEqualsWithDelta(8.2, $count->expected, 1e-12);
        foreach ([
            2 => 0.00506271909388,
            5 => 0.13252068931294,
            8 => 0.56171936364381,
            11 => 0.90812931373526,
            14 => 0.99277962513583,
        ] as $n => $atMost) {
            self::assertEqualsWithDelta($atMost, $count->atMost($n), 1e-12);
        }
        self::assertSame([8, 10, 11, 12, 14], array_map($count->quantile(...), [0.5, 0.8, 0.9, 0.95, 0.99]));
    }

    public function test_equal_chances_are_binomial(): void
    {
        $count = FailureCount::of(array_fill(0, 6, 0.5));

        self::assertEqualsWithDelta(20 / 64, $count->exactly(3), 1e-15);
        self::assertSame(0.0, $count->exactly(7));
    }

    public function test_a_whole_farm_is_counted_in_no_time_and_sums_to_one(): void
    {
        $count = FailureCount::of(array_fill(0, 3000, 0.004));

        self::assertEqualsWithDelta(1.0, $count->atMost(3000), 1e-9);
        // Poisson of 12 is close: ppois(12, 12) = 0.5759652
        self::assertEqualsWithDelta(0.5759652, $count->atMost(12), 0.002);
    }

    public function test_no_parts_need_no_spares(): void
    {
        $told = (new SparesForecast)->compute(['parts' => []]);

        self::assertSame(0.0, $told['expected']);
        self::assertSame(0, $told['quantiles']['0.99']);
        self::assertSame([1.0], $told['at_least']);
    }

    public function test_a_part_without_an_age_is_refused(): void
    {
        try {
            (new SparesForecast)->compute(['parts' => [['shape' => 2, 'scale_h' => 100, 'hours_ahead' => 3]]]);
            self::fail('It was answered.');
        } catch (InputError $e) {
            self::assertSame('parts.0.age_h', $e->field);
        }
    }
}
