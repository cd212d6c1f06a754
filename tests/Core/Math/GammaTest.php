<?php

declare(strict_types=1);

namespace Tests\Core\Math;

use InvalidArgumentException;
use OddBench\Math\Gamma;
use OddBench\Math\Normal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against R 4.2, the call beside each value, and closed forms. */
final class GammaTest extends TestCase
{
    /** @return iterable<string, array{float, float}> */
    public static function logarithms(): iterable
    {
        yield 'lgamma(0.1)' => [0.1, 2.25271265173421];
        yield 'lgamma(0.5)' => [0.5, 0.5723649429247];
        yield 'lgamma(1.4)' => [1.4, -0.119612914172371];
        yield 'lgamma(10)' => [10.0, 12.8018274800815];
        yield 'lgamma(171.3)' => [171.3, 708.114947038997];
    }

    #[DataProvider('logarithms')]
    public function test_its_logarithm(float $x, float $log): void
    {
        self::assertEqualsWithDelta($log, Gamma::log($x), 1e-12 * max(1.0, abs($log)));
    }

    /** @return iterable<string, array{float, float, float, float}> */
    public static function incomplete(): iterable
    {
        yield 'pgamma(0.2, 0.4)' => [0.4, 0.2, 0.560103760429811, 0.439896239570189];
        yield 'pgamma(3, 0.4)' => [0.4, 3.0, 0.989998876811081, 0.0100011231889193];
        yield 'pgamma(1, 1)' => [1.0, 1.0, 0.632120558828558, 0.367879441171442];
        yield 'pgamma(9, 2.5)' => [2.5, 9.0, 0.99705359541212, 0.00294640458788029];
        yield 'pgamma(20, 30)' => [30.0, 20.0, 0.0218182175255574, 0.978181782474443];
        yield 'pgamma(45, 30)' => [30.0, 45.0, 0.992662800702203, 0.00733719929779651];
    }

    #[DataProvider('incomplete')]
    public function test_below_and_above(float $a, float $x, float $below, float $above): void
    {
        self::assertEqualsWithDelta(1.0, Gamma::below($a, $x) / $below, 1e-11);
        self::assertEqualsWithDelta(1.0, Gamma::above($a, $x) / $above, 1e-11);
    }

    public function test_a_small_rest_keeps_its_digits(): void
    {
        // of shape 1 it is exp(−x)
        self::assertEqualsWithDelta(1.0, Gamma::above(1.0, 60.0) / exp(-60), 1e-11);
    }

    /** @return iterable<string, array{float, float, float}> */
    public static function quantiles(): iterable
    {
        yield 'qgamma(0.05, 0.4)' => [0.4, 0.05, 0.000414653715571528];
        yield 'qgamma(0.025, 2)' => [2.0, 0.025, 0.242209278543965];
        yield 'qgamma(0.975, 4)' => [4.0, 0.975, 8.76727306974232];
        yield 'qgamma(0.5, 12)' => [12.0, 0.5, 11.6683631530448];
        yield 'qgamma(0.975, 104)' => [104.0, 0.975, 124.917455447031];
    }

    #[DataProvider('quantiles')]
    public function test_its_inverse(float $a, float $p, float $x): void
    {
        self::assertEqualsWithDelta(1.0, Gamma::quantile($a, $p) / $x, 1e-10);
    }

    /** @return iterable<string, array{float, float}> */
    public static function normal(): iterable
    {
        yield '2*pnorm(-0)' => [0.0, 1.0];
        yield '2*pnorm(-0.5)' => [0.5, 0.617075077451974];
        yield '2*pnorm(-1)' => [1.0, 0.317310507862914];
        yield '2*pnorm(-4)' => [4.0, 6.33424836662398e-05];
    }

    #[DataProvider('normal')]
    public function test_the_normal_distribution(float $z, float $beyond): void
    {
        self::assertEqualsWithDelta(1.0, Normal::beyond($z) / $beyond, 1e-11);
        self::assertEqualsWithDelta($beyond / 2, Normal::below(-$z), 1e-12);
        self::assertEqualsWithDelta(1 - $beyond / 2, Normal::below($z), 1e-12);
    }

    public function test_what_it_is_not_asked(): void
    {
        foreach ([
            static fn (): float => Gamma::log(0.0),
            static fn (): float => Gamma::below(0.0, 1.0),
            static fn (): float => Gamma::below(1.0, -1.0),
            static fn (): float => Gamma::quantile(2.0, 1.0),
        ] as $ask) {
            try {
                $ask();
                self::fail('It was answered.');
            } catch (InvalidArgumentException) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
