<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use InvalidArgumentException;
use OddBench\Repair\LearningCurve;
use PHPUnit\Framework\TestCase;

/** Wright’s curve (1936): time falls by a fixed share with each doubling. */
final class LearningCurveTest extends TestCase
{
    /** The usual worked example of an 80 % curve: 100, 80, 64, 51.2 minutes the first, second, fourth and eighth time. */
    public function test_the_eighty_percent_curve(): void
    {
        // practised is the tenth time: 100 · 10^log2(0.8)
        $curve = LearningCurve::of(100, 100 * 10 ** (log(0.8) / log(2)));

        foreach ([1 => 100.0, 2 => 80.0, 4 => 64.0, 8 => 51.2, 16 => 40.96] as $n => $minutes) {
            self::assertEqualsWithDelta($minutes, $curve->minutes($n), 1e-9);
        }
        self::assertEqualsWithDelta(0.8, $curve->rate(), 1e-12);
        self::assertEqualsWithDelta(-0.3219280949, $curve->exponent, 1e-9);
    }

    public function test_a_guides_own_figures_are_what_it_says_before_anybody_has_done_it(): void
    {
        $curve = LearningCurve::of(35, 22);

        self::assertEqualsWithDelta(35, $curve->minutes(1), 1e-9);
        self::assertEqualsWithDelta(22, $curve->minutes(LearningCurve::PRACTISED), 1e-9);
    }

    /**
     * R: d <- data.frame(n = c(1, 10, 1, 2, 3, 4), t = c(35, 22, 50, 41, 36, 35)); m <- lm(log(t) ~ log(n), d);
     * c(exp(coef(m)[1]), coef(m)[2], exp(predict(m, data.frame(n = 5)))) gives 44.813002071, -0.256199572, 29.670729407
     */
    public function test_what_was_taken_moves_it_as_least_squares_on_logarithms_does(): void
    {
        $curve = LearningCurve::of(35, 22, [50, 41, 36, 35]);

        self::assertEqualsWithDelta(44.813002071, $curve->firstMinutes, 1e-6);
        self::assertEqualsWithDelta(-0.256199572, $curve->exponent, 1e-6);
        self::assertEqualsWithDelta(29.670729407, $curve->minutes(5), 1e-6);
    }

    public function test_nobody_gets_slower_by_practice(): void
    {
        $curve = LearningCurve::of(20, 20, [20, 30, 40, 50]);

        self::assertSame(0.0, $curve->exponent);
        self::assertSame(1.0, $curve->rate());
        self::assertEqualsWithDelta($curve->minutes(1), $curve->minutes(50), 1e-9);
    }

    public function test_it_stays_between_what_was_seen_and_follows_a_quicker_hand(): void
    {
        $slow = LearningCurve::of(35, 22, [60, 55, 52]);
        $quick = LearningCurve::of(35, 22, [20, 16, 14]);

        self::assertGreaterThan(LearningCurve::of(35, 22)->minutes(4), $slow->minutes(4));
        self::assertLessThan(LearningCurve::of(35, 22)->minutes(4), $quick->minutes(4));
    }

    public function test_minutes_below_zero_are_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        LearningCurve::of(35, 22, [0.0]);
    }
}
