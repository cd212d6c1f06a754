<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Input\InputError;
use OddBench\Stock\DemandRate;
use OddBench\Stock\Reorder;
use OddBench\Stock\ReviewTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked by hand; tails as in DemandLawTest. */
final class ReorderTest extends TestCase
{
    public function test_now_and_then_by_croston_with_the_correction(): void
    {
        // by hand, α = 0.1: week 3 asks for 3 (z 3, p 3), week 7 for 2 (z 2.9, p 3.1), week 9 for 1 (z 2.71, p 2.99);
        // 0.95 · 2.71 / 2.99 = 0.861037
        $rate = DemandRate::of([0, 0, 3, 0, 0, 0, 2, 0, 1], 0.1);

        self::assertSame('croston', $rate->method);
        self::assertEqualsWithDelta(0.95 * 2.71 / 2.99, $rate->mean, 1e-12);
        self::assertEqualsWithDelta(0.861037, $rate->mean, 1e-6);
    }

    public function test_steady_demand_by_its_mean(): void
    {
        $rate = DemandRate::of([2, 3, 1, 2, 0, 4]);
        self::assertSame('mean', $rate->method);
        // mean 2, squares 0 + 1 + 1 + 0 + 4 + 4 over 5
        self::assertEqualsWithDelta(2.0, $rate->mean, 1e-12);
        self::assertEqualsWithDelta(2.0, $rate->variance, 1e-12);
        self::assertSame('mean', DemandRate::of([0, 0, 0, 5])->method, 'one demand shows no interval');
    }

    public function test_reorder_point_order_risk_and_cover(): void
    {
        // 1 a week, 2 weeks: Poisson with mean 2; P(D ≤ 5) = 0.9834, P(D ≤ 4) = 0.9473
        $result = $this->reorder(['on_hand' => 3, 'pack_size' => 2]);
        self::assertSame([5, 2, 3], [$result['reorder_point'], $result['order_packs'], $result['free']]);
        // P(D > 3) = 1 − 0.857123
        self::assertEqualsWithDelta(0.142877, $result['stockout_probability'], 1e-6);
        self::assertEqualsWithDelta(3.0, $result['cover_weeks'], 1e-12);
        self::assertSame('poisson', $result['law']);

        $enough = $this->reorder(['on_hand' => 6]);
        self::assertSame(0, $enough['order_packs']);
        self::assertStringContainsString('over the reorder point of 5', $enough['because']);
    }

    public function test_what_is_promised_planned_and_on_its_way_counts(): void
    {
        self::assertSame(6, $this->reorder(['on_hand' => 3, 'on_order' => 5, 'reserved' => 1, 'planned' => 1])['free']);
        $short = $this->reorder(['on_hand' => 0, 'planned' => 4]);
        self::assertSame([-4, 10], [$short['free'], $short['order_packs']]);
        self::assertEqualsWithDelta(1.0, $short['stockout_probability'], 1e-12);
        self::assertEqualsWithDelta(0.0, $short['cover_weeks'], 1e-12);
    }

    public function test_a_wavering_lead_time_asks_for_more(): void
    {
        // mean 4·2 = 8, variance 4·2 + 2²·1.5² = 17: negative binomial
        $result = $this->reorder(['demand_per_week' => 2, 'lead_time_weeks' => 4, 'lead_time_sd_weeks' => 1.5, 'on_hand' => 0]);
        self::assertSame('negative-binomial', $result['law']);
        // R: qnbinom(.95, size = 64/9, mu = 8) is 16; qpois(.95, 8) is 13
        self::assertSame(16, $result['reorder_point']);
        self::assertSame(13, $this->reorder(['demand_per_week' => 2, 'lead_time_weeks' => 4, 'on_hand' => 0])['reorder_point']);
    }

    public function test_the_lot_that_costs_least(): void
    {
        // √(2 · 52 · 1 · 5 / (0.2 · 3.25)) = √800 = 28.28, in packs of 10: 3
        $costs = ['order_cost' => 5, 'holding_pct_year' => 20, 'unit_cost' => 3.25, 'pack_size' => 10, 'on_hand' => 2];
        self::assertSame(3, $this->reorder($costs)['order_packs']);
        // half a year of shelf life lets 26 be used up, 2 are there: two packs
        self::assertSame(2, $this->reorder($costs + ['shelf_life_weeks' => 26])['order_packs']);
        self::assertSame(1, $this->reorder($costs + ['most_to_spend' => 40])['order_packs']);
        self::assertSame(0, $this->reorder($costs + ['most_to_spend' => 4])['order_packs']);
        self::assertStringContainsString('money', $this->reorder($costs + ['most_to_spend' => 4])['because']);
    }

    public function test_nothing_asked_for_needs_nothing(): void
    {
        $result = $this->reorder(['demand_per_week' => 0, 'on_hand' => 1]);
        self::assertSame([0, 0, null], [$result['reorder_point'], $result['order_packs'], $result['cover_weeks']]);
        self::assertSame(0, $this->reorder(['demand_per_week' => 0, 'on_hand' => 0])['order_packs']);
        self::assertSame(1, $this->reorder(['demand_per_week' => 0, 'on_hand' => 0, 'planned' => 1])['order_packs']);
    }

    public function test_few_events_are_few(): void
    {
        // two asked for in a year: the rate is Gamma(2.5, 52); over four weeks P(D ≤ n) = ∫ Poisson(n; 4λ) dGamma(λ), by Simpson's rule
        $history = array_fill(0, 52, 0);
        $history[10] = $history[40] = 1;
        $law = static function (int $n): float {
            $sum = 0.0;
            for ($i = 0, $m = 20_000, $h = 0.8 / $m; $i <= $m; $i++) {
                $rate = $i * $h;
                $below = $term = exp(-4 * $rate);
                for ($k = 1; $k <= $n; $k++) {
                    $below += $term *= 4 * $rate / $k;
                }
                $sum += ($i === 0 || $i === $m ? 1 : ($i % 2 === 1 ? 4 : 2)) * 52 ** 2.5 * $rate ** 1.5 * exp(-52 * $rate) / (1.5 * 0.5 * sqrt(M_PI)) * $below;
            }

            return $sum * $h / 3;
        };
        $result = (new Reorder)->compute([
            'history' => $history,
            'lead_time_weeks' => 4,
            'service_level' => 0.99,
            'pack_size' => 1,
            'on_hand' => 1,
        ]);

        self::assertSame('negative-binomial', $result['law']);
        self::assertEqualsWithDelta(1 - $law(1), $result['stockout_probability'], 1e-7);
        self::assertGreaterThanOrEqual(0.99, $law($result['reorder_point']));
        self::assertLessThan(0.99, $law($result['reorder_point'] - 1));
        // the same rate as a given one has less to fear
        $given = (new Reorder)->compute([
            'demand_per_week' => 2 / 52,
            'lead_time_weeks' => 4,
            'service_level' => 0.99,
            'pack_size' => 1,
            'on_hand' => 1,
        ]);
        self::assertSame('poisson', $given['law']);
        self::assertLessThan($result['stockout_probability'], $given['stockout_probability']);
    }

    public function test_it_also_covers_the_time_until_it_is_looked_at_again(): void
    {
        // 1 a week, 2 weeks and 6 until the next order: Poisson with mean 8, its 95 % is 13 (R: qpois(.95, 8))
        self::assertSame([5, 13], [$this->reorder([])['reorder_point'], $this->reorder(['review_weeks' => 6])['reorder_point']]);
    }

    public function test_how_often_a_shop_orders(): void
    {
        self::assertEqualsWithDelta(1.0, ReviewTime::weeks([7, 3, 14]), 1e-12);
        self::assertEqualsWithDelta(1.5, ReviewTime::weeks([7, 14, 3, 21]), 1e-12);
        self::assertEqualsWithDelta(0.0, ReviewTime::weeks([7, 7]), 1e-12, 'too few to be a habit');
        self::assertEqualsWithDelta(0.0, ReviewTime::weeks([60, 70, 80]), 1e-12, 'ordered when it is due, not by a rhythm');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no lead time that wavers' => [['lead_time_weeks' => 0, 'lead_time_sd_weeks' => 1], 'lead_time_sd_weeks'];
        yield 'next to no lead time' => [['lead_time_weeks' => 1e-200], 'lead_time_weeks'];
        yield 'next to no demand' => [['demand_per_week' => 1e-320], 'demand_per_week'];
        yield 'a million screws' => [['demand_per_week' => 10_000, 'lead_time_weeks' => 104], 'demand_per_week'];
        yield 'a lead time that may be anything' => [
            ['demand_per_week' => 10_000, 'lead_time_weeks' => 5, 'lead_time_sd_weeks' => 104, 'service_level' => 0.9999],
            'demand_per_week',
        ];
        yield 'both' => [['history' => [1, 2]], 'history'];
        yield 'level of certainty' => [['service_level' => 1], 'service_level'];
        yield 'pack of none' => [['pack_size' => 0], 'pack_size'];
        yield 'half a part' => [['on_hand' => 1.5], 'on_hand'];
        yield 'below zero' => [['on_hand' => -1], 'on_hand'];
        yield 'money without a price' => [['most_to_spend' => 10], 'unit_cost'];
        yield 'unknown key' => [['colour' => 'red'], 'colour'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_bad_input_names_its_field(array $with, string $field): void
    {
        try {
            $this->reorder($with);
            self::fail('not refused');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function reorder(array $with): array
    {
        return (new Reorder)->compute($with + [
            'demand_per_week' => 1,
            'lead_time_weeks' => 2,
            'service_level' => 0.95,
            'pack_size' => 1,
            'on_hand' => 3,
        ]);
    }
}
