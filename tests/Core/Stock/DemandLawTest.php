<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use InvalidArgumentException;
use OddBench\Stock\DemandLaw;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Quantiles and tails against R 4.2.2 and the usual printed table of the Poisson law. */
final class DemandLawTest extends TestCase
{
    private const LEVELS = [0.5, 0.9, 0.95, 0.99, 0.999];

    /** @return iterable<string, array{float, list<int>}> */
    public static function poisson(): iterable
    {
        // R: qpois(c(.5, .9, .95, .99, .999), m)
        yield '0.3' => [0.3, [0, 1, 1, 2, 3]];
        yield '2' => [2.0, [2, 4, 5, 6, 8]];
        yield '7.5' => [7.5, [7, 11, 12, 15, 17]];
        yield '40' => [40.0, [40, 48, 51, 55, 61]];
    }

    /** @param  list<int>  $quantiles */
    #[DataProvider('poisson')]
    public function test_poisson_quantiles_as_r_has_them(float $mean, array $quantiles): void
    {
        $law = DemandLaw::of($mean, $mean);

        self::assertSame('poisson', $law->name());
        self::assertSame($quantiles, array_map($law->quantile(...), self::LEVELS));
    }

    /** @return iterable<string, array{float, float, list<int>, float}> */
    public static function negativeBinomial(): iterable
    {
        // R: qnbinom(c(.5, .9, .95, .99, .999), size = m^2/(v - m), mu = m); 1 - pnbinom(5, …)
        yield '2 and 3' => [2.0, 3.0, [2, 4, 5, 7, 10], 0.042422394960];
        yield '7.5 and 12' => [7.5, 12.0, [7, 12, 14, 17, 21], 0.693907224873];
        yield '40 and 100' => [40.0, 100.0, [39, 53, 58, 66, 77], 0.999999590038];
        yield '0.4 and 0.9' => [0.4, 0.9, [0, 1, 2, 4, 8], 0.004781474156];
    }

    /** @param  list<int>  $quantiles */
    #[DataProvider('negativeBinomial')]
    public function test_negative_binomial_as_r_has_it(float $mean, float $variance, array $quantiles, float $overFive): void
    {
        $law = DemandLaw::of($mean, $variance);

        self::assertSame('negative-binomial', $law->name());
        self::assertSame($quantiles, array_map($law->quantile(...), self::LEVELS));
        self::assertEqualsWithDelta($overFive, 1 - $law->atMost(5), 1e-11);
    }

    public function test_the_printed_table_of_the_poisson_law(): void
    {
        // mean 2: P(X ≤ 0 … 5), as statistics handbooks print it to four figures
        foreach ([0.1353, 0.4060, 0.6767, 0.8571, 0.9473, 0.9834] as $n => $p) {
            self::assertEqualsWithDelta($p, DemandLaw::of(2, 2)->atMost($n), 5e-5);
        }
        // R: 1 - ppois(5, c(2, 7.5))
        self::assertEqualsWithDelta(0.016563608481, 1 - DemandLaw::of(2, 2)->atMost(5), 1e-11);
        self::assertEqualsWithDelta(0.758563549030, 1 - DemandLaw::of(7.5, 7.5)->atMost(5), 1e-11);
    }

    public function test_large_means_do_not_vanish(): void
    {
        // R: qpois(.95, 5000) is 5117
        self::assertSame(5117, DemandLaw::of(5000, 5000)->quantile(0.95));
        self::assertEqualsWithDelta(1.0, DemandLaw::of(5000, 5000)->atMost(6000), 1e-9);
    }

    public function test_which_law_it_is(): void
    {
        self::assertSame('poisson', DemandLaw::of(10, 11)->name());
        self::assertSame('negative-binomial', DemandLaw::of(10, 11.01)->name());
        self::assertSame('poisson', DemandLaw::of(10, 4)->name(), 'calmer than Poisson counts as Poisson');
        self::assertSame(0, DemandLaw::of(0, 0)->quantile(0.99));
        self::assertSame([0.0, 1.0], [DemandLaw::of(3, 3)->atMost(-1), DemandLaw::of(0, 0)->atMost(0)]);
        $this->expectException(InvalidArgumentException::class);
        DemandLaw::of(3, 3)->quantile(1.0);
    }
}
