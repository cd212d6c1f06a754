<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Stock\LeadTime;
use PHPUnit\Framework\TestCase;

/** Worked by hand. */
final class LeadTimeTest extends TestCase
{
    public function test_what_the_supplier_says_until_something_came(): void
    {
        $lead = LeadTime::of(14, []);

        self::assertSame([14.0, 2.0], [$lead->meanDays, $lead->meanWeeks()]);
        // a quarter of fourteen days
        self::assertEqualsWithDelta(3.5, $lead->sdDays, 1e-12);
    }

    public function test_each_delivery_counts_against_three_of_the_word(): void
    {
        // (3 · 10 + 16 + 20 + 22) / 6 = 88 / 6
        $lead = LeadTime::of(10, [16, 20, 22]);
        $mean = 88 / 6;
        self::assertEqualsWithDelta($mean, $lead->meanDays, 1e-12);
        // √((3 · (mean / 4)² + Σ(x − mean)²) / 6)
        self::assertEqualsWithDelta(
            sqrt((3 * ($mean / 4) ** 2 + (16 - $mean) ** 2 + (20 - $mean) ** 2 + (22 - $mean) ** 2) / 6),
            $lead->sdDays,
            1e-12,
        );
        self::assertEqualsWithDelta($lead->sdDays / 7, $lead->sdWeeks(), 1e-12);
    }

    public function test_many_deliveries_outweigh_the_word(): void
    {
        self::assertEqualsWithDelta(20.0, LeadTime::of(5, array_fill(0, 300, 20.0))->meanDays, 0.2);
        self::assertSame(0.0, LeadTime::of(0, [])->sdDays);
    }
}
