<?php

declare(strict_types=1);

namespace Tests\Core\Math;

use InvalidArgumentException;
use OddBench\Math\Root;
use PHPUnit\Framework\TestCase;

final class RootTest extends TestCase
{
    public function test_roots_that_are_known(): void
    {
        // Wallis’ equation x³ − 2x − 5 = 0, the first Newton’s method was tried on: 2.0945514815423265
        self::assertEqualsWithDelta(
            2.0945514815423265,
            Root::between(static fn (float $x): float => $x ** 3 - 2 * $x - 5, 2.0, 3.0),
            1e-12,
        );
        // the fixed point of the cosine: 0.7390851332151607
        self::assertEqualsWithDelta(0.7390851332151607, Root::between(static fn (float $x): float => cos($x) - $x, 0.0, 1.0), 1e-12);
    }

    public function test_flat_and_steep_ones(): void
    {
        self::assertEqualsWithDelta(0.3, Root::between(static fn (float $x): float => ($x - 0.3) ** 9, -1.0, 4.0), 0.01);
        self::assertEqualsWithDelta(log(1e-9), Root::between(static fn (float $x): float => exp($x) - 1e-9, -90.0, 90.0), 1e-9);
    }

    public function test_it_takes_few_steps(): void
    {
        $asked = 0;
        Root::between(static function (float $x) use (&$asked): float {
            $asked++;

            return exp($x) - 2;
        }, 0.0, 3.0);

        // halving alone takes 45
        self::assertLessThan(15, $asked);
    }

    public function test_without_a_change_of_sign_there_is_none(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Root::between(static fn (float $x): float => $x * $x + 1, -1.0, 1.0);
    }
}
