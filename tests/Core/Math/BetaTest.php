<?php

declare(strict_types=1);

namespace Tests\Core\Math;

use OddBench\Math\Beta;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against R 4.2, the call beside each value. */
final class BetaTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float}> */
    public static function fromR(): iterable
    {
        yield 'pbeta(0.3, 2, 5)' => [0.3, 2.0, 5.0, 0.579825];
        yield 'pbeta(0.9, 0.5, 0.5)' => [0.9, 0.5, 0.5, 0.79516723530087];
        yield 'pbeta(0.02, 4, 100)' => [0.02, 4.0, 100.0, 0.15208360743131];
        yield 'pbeta(0.5, 300, 310)' => [0.5, 300.0, 310.0, 0.65732518251492];
    }

    #[DataProvider('fromR')]
    public function test_how_much_lies_below(float $x, float $a, float $b, float $below): void
    {
        self::assertEqualsWithDelta($below, Beta::below($x, $a, $b), 1e-10);
        self::assertEqualsWithDelta(1 - $below, Beta::below(1 - $x, $b, $a), 1e-10);
    }

    public function test_its_ends(): void
    {
        self::assertSame(0.0, Beta::below(0.0, 2.0, 3.0));
        self::assertSame(1.0, Beta::below(1.0, 2.0, 3.0));
    }
}
