<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\RepairCost;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The troubleshooting order of Heckerman, Breese and Rommelse (1995): repair in order of probability over cost. */
final class RepairCostTest extends TestCase
{
    public function test_the_example_worked_by_hand(): void
    {
        // one trouble, three parts: p = 0.5, 0.3, 0.2 and c = 10, 2, 5, so p/c = 0.05, 0.15, 0.04 and the order is b, a, c.
        // Expected cost of repair, as in the paper: 2 + 0.7 · 10 + 0.2 · 5 = 10.0. Of that the mends that were right cost
        // 0.5 · 10 + 0.3 · 2 + 0.2 · 5 = 6.6, so 3.4 goes in vain: 0.7 · 2 on b and 0.2 · 10 on a.
        $cost = new RepairCost([0, 1, 2], [10.0, 2.0, 5.0]);

        self::assertEqualsWithDelta(3.4, $cost->inVain([0.5, 0.3, 0.2]), 1e-12);
    }

    public function test_what_is_none_of_them_costs_nothing_and_more_than_one_trouble_counts_in_shares(): void
    {
        $cost = new RepairCost([0, 2], [10.0, 1.0, 5.0]);

        // 0.6 and 0.2, p/c 0.06 and 0.04: the first first, in vain in the 0.2 where it is the other
        self::assertEqualsWithDelta(2.0, $cost->inVain([0.6, 0.9, 0.2]), 1e-12);
        // 1.2 and 0.4 as shares are three quarters and a quarter: in vain in a quarter of the cases
        self::assertEqualsWithDelta(2.5, $cost->inVain([0.9, 0.9, 0.3]), 1e-12);
        self::assertSame(0.0, $cost->inVain([0.0, 0.9, 0.0]));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_other_order_wastes_less(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $many = $random->getInt(1, 6);
        $beliefs = $mend = [];
        for ($i = 0; $i < $many; $i++) {
            $beliefs[] = $random->getInt(1, 900) / 1000;
            $mend[] = (float) $random->getInt(1, 60);
        }
        $all = array_sum($beliefs);
        $scale = max(1.0, $all);
        $least = INF;
        foreach (self::orders(range(0, $many - 1)) as $order) {
            $left = $all / $scale;
            $cost = 0.0;
            foreach ($order as $fault) {
                $left -= $beliefs[$fault] / $scale;
                $cost += $left * $mend[$fault];
            }
            $least = min($least, $cost);
        }

        self::assertEqualsWithDelta($least, (new RepairCost(range(0, $many - 1), $mend))->inVain($beliefs), 1e-9);
    }

    /**
     * @param  list<int>  $of
     * @return iterable<list<int>>
     */
    private static function orders(array $of): iterable
    {
        if (count($of) <= 1) {
            yield $of;

            return;
        }
        foreach ($of as $i => $first) {
            $rest = $of;
            unset($rest[$i]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }
}
