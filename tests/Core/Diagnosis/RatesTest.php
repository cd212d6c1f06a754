<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Rates;
use PHPUnit\Framework\TestCase;

/** Gamma–Poisson by hand: the catalogue counts as 50 jobs at its rate. */
final class RatesTest extends TestCase
{
    public function test_no_history_leaves_the_catalogue_rate(): void
    {
        self::assertEqualsWithDelta(0.045, Rates::catalogue()->prior(SmallKnowledge::fault('a', 45, [], 10)), 1e-15);
    }

    public function test_the_family_is_shrunk_to_the_shop_and_the_shop_to_the_catalogue(): void
    {
        $rates = Rates::corrected(50, 20, ['a' => 5], 100, ['a' => 8]);
        $shop = (50 * 0.02 + 8) / 150;

        self::assertEqualsWithDelta((50 * $shop + 5) / 70, $rates->prior(SmallKnowledge::fault('a', 20, [], 10)), 1e-15);
    }

    public function test_of_a_fault_some_families_cannot_have_only_the_others_jobs_count(): void
    {
        // 200 jobs in the shop, 20 of them on machines with a feeder, 4 of those jammed; this family saw 20 of the jobs
        $rates = Rates::corrected(50, 20, ['jam' => 4], 200, ['jam' => 4], ['jam' => 20]);
        $shop = (50 * 0.09 + 4) / 70;

        self::assertEqualsWithDelta((50 * $shop + 4) / 70, $rates->prior(SmallKnowledge::fault('jam', 90, [], 10)), 1e-15);
    }

    public function test_much_history_outweighs_the_catalogue(): void
    {
        $rates = Rates::corrected(50, 10_000, ['a' => 1200], 10_000, ['a' => 1200]);

        self::assertEqualsWithDelta(0.12, $rates->prior(SmallKnowledge::fault('a', 1, [], 10)), 0.002);
    }

    public function test_a_fault_is_neither_certain_nor_impossible_before_anything_was_seen(): void
    {
        self::assertSame(0.5, Rates::corrected(50, 1000, ['a' => 1000])->prior(SmallKnowledge::fault('a', 50, [], 10)));
        self::assertGreaterThan(0.0, Rates::corrected(50, 1_000_000, [])->prior(SmallKnowledge::fault('a', 0.1, [], 10)));
    }
}
