<?php

declare(strict_types=1);

namespace Tests\Core\Math;

use InvalidArgumentException;
use OddBench\Math\Chebyshev;
use PHPUnit\Framework\TestCase;

final class ChebyshevTest extends TestCase
{
    public function test_a_smooth_function_is_met_to_the_last_digits(): void
    {
        foreach ([exp(...), sin(...), static fn (float $x): float => 1 / (1 + $x ** 2)] as $of) {
            $curve = Chebyshev::through($of, -2.0, 3.0);
            for ($x = -2.0; $x <= 3.0; $x += 0.0371) {
                self::assertEqualsWithDelta($of($x), $curve->at($x), 1e-9);
            }
            self::assertSame($of(-2.0), $curve->at(-2.0));
        }
        $curve = Chebyshev::through(exp(...), 0.0, 1.0);
        self::assertSame([true, true, false, false], array_map($curve->reaches(...), [0.0, 1.0, -0.01, 1.01]));
        $this->expectException(InvalidArgumentException::class);
        Chebyshev::through(exp(...), 1.0, 1.0);
    }
}
