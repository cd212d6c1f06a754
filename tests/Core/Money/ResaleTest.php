<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Money\Resale;
use PHPUnit\Framework\TestCase;

final class ResaleTest extends TestCase
{
    public function test_it_made_the_price_less_what_was_paid_and_spent(): void
    {
        $sold = new Resale(30000, 12000, 6000, 90);
        self::assertSame(12000, $sold->made());
        self::assertSame(8000, $sold->perHour(), '12,000 in an hour and a half');
    }

    public function test_a_loss_is_a_loss_an_hour_too(): void
    {
        $lost = new Resale(9000, 12000, 1500, 30);
        self::assertSame([-4500, -9000], [$lost->made(), $lost->perHour()]);
    }

    public function test_without_hands_there_is_no_figure_for_an_hour(): void
    {
        self::assertNull((new Resale(9000, 2000, 0, 0.9))->perHour());
        self::assertSame(420_000, (new Resale(9000, 2000, 0, 1.0))->perHour());
    }
}
