<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use OddBench\Money\Exact;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Against exact rational numbers of brick/math. */
final class ExactTest extends TestCase
{
    public function test_shares_are_rounded_half_up_as_exact_fractions_are(): void
    {
        $random = new Randomizer(new Mt19937(17));
        for ($i = 0; $i < 3000; $i++) {
            $sum = $random->getInt(0, 10 ** $random->getInt(1, 9));
            $all = $random->getInt(1, 10 ** $random->getInt(1, 9));
            $of = $random->getInt(0, 2 * $all);
            $exact = BigRational::of($sum)->multipliedBy($of)->dividedBy($all)->toScale(0, RoundingMode::HALF_UP)->toInt();
            self::assertSame($exact, Exact::share($sum, $of, $all), "{$sum} × {$of} / {$all}");
            self::assertSame(-$exact, Exact::share(-$sum, $of, $all));
        }
    }

    public function test_percentages_that_no_float_holds_come_out_whole(): void
    {
        // 1.1 × 105 is 115.50000000000001 as a float, 1.15 × 1010 is 1161.4999999999998
        self::assertSame(116, Exact::raised(105, 10));
        self::assertSame(1162, Exact::raised(1010, 15));
        self::assertSame(1256, Exact::raised(930, 35));
        self::assertSame(84, Exact::percent(1000, 8.375));
        self::assertSame(4230, Exact::hands(47, 90));
        self::assertSame(23, Exact::hands(0.25, 90));
        self::assertSame(60, Exact::hands(60, 1.0));
    }

    public function test_what_is_apportioned_adds_up_and_nobody_is_a_unit_away_from_its_share(): void
    {
        $random = new Randomizer(new Mt19937(23));
        for ($i = 0; $i < 2000; $i++) {
            $weights = [];
            for ($k = $random->getInt(1, 12); $k > 0; $k--) {
                $weights[] = $random->getInt(0, 3) === 0 ? 0 : $random->getInt(0, 10 ** $random->getInt(1, 9));
            }
            $sum = $random->getInt(0, 1_000_000_000);
            $shares = Exact::apportion($sum, $weights);
            self::assertSame($sum, array_sum($shares));
            $all = array_sum($weights);
            foreach ($weights as $j => $weight) {
                $exact = $all === 0
                    ? BigRational::of($sum)->dividedBy(count($weights))
                    : BigRational::of($sum)->multipliedBy($weight)->dividedBy($all);
                self::assertTrue(BigRational::of($shares[$j])->minus($exact)->abs()->isLessThan(1));
            }
        }
    }

    public function test_equal_remainders_go_to_the_first(): void
    {
        self::assertSame([34, 33, 33], Exact::apportion(100, [1, 1, 1]));
        self::assertSame([1, 1, 0], Exact::apportion(2, [0, 0, 0]));
    }

    public function test_what_was_weighed_in_floats_becomes_whole_half_up(): void
    {
        self::assertSame([3, 2, -2, -3], array_map(Exact::whole(...), [2.5, 2.4999, -2.5, -2.5001]));
        // 57.5 in a hundred of 1.15: a float comes out a little below the half
        self::assertLessThan(0.5, 1.15 * 50 - 57);
        self::assertSame(58, Exact::whole(1.15 * 50));
    }
}
