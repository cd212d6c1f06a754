<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use InvalidArgumentException;
use OddBench\Diagnosis\StudentT;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against the printed table of the distribution and closed forms: one degree is Cauchy’s, two have a root. */
final class StudentTTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> share, degrees, quantile: NIST/SEMATECH e-Handbook 1.3.6.7.2 */
    public static function table(): iterable
    {
        yield '1' => [0.975, 1, 12.706];
        yield '2' => [0.975, 2, 4.303];
        yield '5' => [0.95, 5, 2.015];
        yield '10' => [0.99, 10, 2.764];
        yield '30' => [0.995, 30, 2.750];
        yield '100' => [0.975, 100, 1.984];
    }

    #[DataProvider('table')]
    public function test_the_printed_table(float $p, float $degrees, float $quantile): void
    {
        self::assertEqualsWithDelta($quantile, StudentT::quantile($p, $degrees), 0.0006);
    }

    public function test_closed_forms(): void
    {
        foreach ([0.6, 0.9, 0.99, 0.9999] as $p) {
            self::assertEqualsWithDelta(1.0, StudentT::quantile($p, 1) / tan(M_PI * ($p - 0.5)), 1e-9);
            self::assertEqualsWithDelta(1.0, StudentT::quantile($p, 2) / ((2 * $p - 1) * sqrt(2 / (4 * $p * (1 - $p)))), 1e-9);
        }
        self::assertEqualsWithDelta(0.0, StudentT::quantile(0.5, 7), 1e-9);
    }

    public function test_degrees_that_are_not_whole_as_lenth_takes_them(): void
    {
        // Lenth 1989, table 1: t at 0.975 for 7/3 and 15/3 degrees
        self::assertEqualsWithDelta(3.764, StudentT::quantile(0.975, 7 / 3), 0.001);
        self::assertEqualsWithDelta(2.571, StudentT::quantile(0.975, 5), 0.001);
    }

    public function test_no_share_is_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        StudentT::quantile(1.0, 5);
    }
}
