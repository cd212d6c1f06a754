<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Trial;
use OddBench\Diagnosis\TwoLevelDesign;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Against the textbook's algebra of designs (Box, Hunter and Hunter, Statistics for Experimenters, 2nd ed., chapters 5 and 6). */
final class TwoLevelDesignTest extends TestCase
{
    private const LEVELS = ['a' => [1.0, 2.0], 'b' => [10.0, 20.0], 'c' => [0.1, 0.2], 'd' => [5.0, 6.0]];

    public function test_standard_order_changes_the_first_setting_fastest(): void
    {
        $plan = TwoLevelDesign::plan(array_slice(self::LEVELS, 0, 3));

        self::assertSame([1.0, 2.0, 1.0, 2.0, 1.0, 2.0, 1.0, 2.0], array_column($plan, 'a'));
        self::assertSame([10.0, 10.0, 20.0, 20.0, 10.0, 10.0, 20.0, 20.0], array_column($plan, 'b'));
        self::assertSame([0.1, 0.1, 0.1, 0.1, 0.2, 0.2, 0.2, 0.2], array_column($plan, 'c'));
    }

    public function test_a_rating_made_of_known_effects_gives_them_back(): void
    {
        // y = 7 + ½ (3a − 2b + 1.5ab + 0.25abcd), signs −1 and 1: the effects are the brackets' figures
        $design = self::design(
            TwoLevelDesign::plan(self::LEVELS),
            static fn (array $s): float => 7 + (3 * $s['a'] - 2 * $s['b'] + 1.5 * $s['a'] * $s['b'] + 0.25 * $s['a'] * $s['b'] * $s['c'] * $s['d']) / 2,
        );

        self::assertNotNull($design);
        self::assertEqualsWithDelta(3.0, $design->effect(['a']), 1e-12);
        self::assertEqualsWithDelta(-2.0, $design->effect(['b']), 1e-12);
        self::assertEqualsWithDelta(1.5, $design->effect(['a', 'b']), 1e-12);
        self::assertEqualsWithDelta(0.25, $design->effect(['a', 'b', 'c', 'd']), 1e-12);
        foreach ([['c'], ['d'], ['a', 'c'], ['b', 'c', 'd']] as $none) {
            self::assertEqualsWithDelta(0.0, $design->effect($none), 1e-12, implode($none));
        }
        self::assertSame([], $design->aliases(['a', 'b']), 'a full design tells everything apart');
        self::assertCount(11, $design->interactions(), '2⁴ − 1 contrasts less four settings');
    }

    public function test_half_of_four_settings_confounds_pairs_with_pairs(): void
    {
        // 2⁴⁻¹ with I = abcd: a = bcd, ab = cd, ac = bd, ad = bc
        $half = array_values(array_filter(
            TwoLevelDesign::plan(self::LEVELS),
            static fn (array $run): bool => array_product(self::signs($run)) === 1,
        ));
        $design = self::design($half, static fn (array $s): float => 2.0 * $s['a']);

        self::assertCount(8, $half);
        self::assertNotNull($design);
        self::assertEqualsWithDelta(4.0, $design->effect(['a']), 1e-12);
        self::assertSame([['b', 'c', 'd']], $design->aliases(['a']));
        self::assertSame([['c', 'd']], $design->aliases(['a', 'b']));
        self::assertSame([['b', 'd']], $design->aliases(['a', 'c']));
        self::assertSame([['b', 'c']], $design->aliases(['a', 'd']));
        self::assertNotContains(['a', 'b', 'c', 'd'], $design->interactions(), 'what never changes has no effect');
    }

    public function test_effects_are_least_squares_ones(): void
    {
        // with noise the difference of means is twice the regression slope: Σ s·y / n, computed here the other way round
        $random = new Randomizer(new Mt19937(5));
        $plan = TwoLevelDesign::plan(self::LEVELS);
        $ratings = array_map(static fn (): float => $random->getInt(0, 500) / 100, $plan);
        $design = self::of($plan, $ratings);
        self::assertNotNull($design);
        foreach (array_keys(self::LEVELS) as $setting) {
            $slope = array_sum(array_map(
                static fn (array $run, float $y): float => self::signs($run)[$setting] * $y,
                $plan,
                $ratings,
            )) / count($plan);
            self::assertEqualsWithDelta(2 * $slope, $design->effect([$setting]), 1e-12);
        }
    }

    public function test_what_is_no_even_design_is_none(): void
    {
        $plan = TwoLevelDesign::plan(array_slice(self::LEVELS, 0, 3));
        $flat = static fn (array $runs): ?TwoLevelDesign => self::of($runs, array_fill(0, count($runs), 1.0));

        self::assertNull($flat([]));
        self::assertNull($flat(array_slice($plan, 0, 7)), 'one is missing');
        self::assertNull($flat([...$plan, $plan[0]]), 'one is there twice');
        self::assertNotNull($flat([...$plan, ...$plan]), 'all are there twice');
        self::assertNull($flat([['a' => 3.0] + $plan[0], ...array_slice($plan, 1)]), 'a third value');
        self::assertNull($flat([['a' => 1.0], ...array_slice($plan, 1)]), 'a setting not told');
        self::assertNull($flat(TwoLevelDesign::plan(['a' => [1.0, 2.0]])), 'one setting alone');
    }

    /**
     * @param  list<array<string, float|string>>  $runs
     * @param  callable(array<string, int>): float  $rating
     */
    private static function design(array $runs, callable $rating): ?TwoLevelDesign
    {
        return self::of($runs, array_map(static fn (array $run): float => $rating(self::signs($run)), $runs));
    }

    /**
     * @param  list<array<string, float|string>>  $runs
     * @param  list<float>  $ratings
     */
    private static function of(array $runs, array $ratings): ?TwoLevelDesign
    {
        return TwoLevelDesign::of(array_map(
            static fn (int $i): Trial => new Trial($i + 1, $runs[$i], $ratings[$i], null, false),
            array_keys($runs),
        ));
    }

    /**
     * @param  array<string, float|string>  $run
     * @return array<string, int>
     */
    private static function signs(array $run): array
    {
        $signs = [];
        foreach ($run as $setting => $value) {
            $signs[$setting] = $value === self::LEVELS[$setting][0] ? -1 : 1;
        }

        return $signs;
    }
}
