<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\Life;
use OddBench\Fleet\LifeJudged;
use OddBench\Fleet\WearLife;
use OddBench\Fleet\Weibull;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Shape and scale against R 4.2, survival 3.5: s <- survreg(Surv(t, d) ~ 1, dist = "weibull"); 1/s$scale; exp(coef(s)). The mean’s
 * bounds against its profile in R, both ends by uniroot(function(m)
 * optimize(loglik with the mean held)$objective − max + qchisq(.95, 1)/2).
 */
final class WearLifeTest extends TestCase
{
    private const WHEELS = [[1210, 1690, 1755, 1980, 2040, 2210, 2365, 2410, 2600], [800, 1500, 2700, 3100]];

    /** @return iterable<string, array{list<int>, list<int>, float, float, float, float, float}> */
    public static function fromR(): iterable
    {
        yield 'NIST/SEMATECH e-Handbook 8.4.1' => [
            [54, 187, 216, 240, 244, 335, 361, 373, 375, 386],
            array_fill(0, 10, 500),
            1.72079726081, 606.527558004, 540.7370255, 389.64741, 1090.11034,
        ];
        yield 'that wear out' => [...self::WHEELS, 4.14449001531, 2477.0288006, 2249.743035, 1880.28784, 2712.17679];
        yield 'that fail young' => [
            [12, 60, 150, 420, 900, 1500, 2200],
            [3000, 3000, 3000],
            0.555884010141, 2085.14661025, 3492.60623, 1033.88309, 112513.098,
        ];
    }

    /**
     * @param  list<int>  $failed
     * @param  list<int>  $running
     */
    #[DataProvider('fromR')]
    public function test_by_likelihood_it_agrees_with_r(
        array $failed,
        array $running,
        float $shape,
        float $scale,
        float $mean,
        float $low,
        float $high,
    ): void {
        $told = (new WearLife)->compute(['failed_h' => $failed, 'running_h' => $running, 'method' => 'ml']);

        self::assertEqualsWithDelta(1.0, $told['shape'] / $shape, 1e-7);
        self::assertEqualsWithDelta(1.0, $told['scale_h'] / $scale, 1e-7);
        self::assertEqualsWithDelta(1.0, $told['mean_h'] / $mean, 1e-7);
        self::assertEqualsWithDelta(1.0, $told['low_h'] / $low, 1e-5);
        self::assertEqualsWithDelta(1.0, $told['high_h'] / $high, 1e-4);
        self::assertSame('ml', $told['method']);
    }

    /** R: optim over sum(d·dweibull + (1 − d)·pweibull − pweibull(entered)), logarithms, upper tails. */
    public function test_used_ones_count_from_the_hours_they_were_fitted_with(): void
    {
        $told = (new WearLife)->compute([
            'failed_h' => self::WHEELS[0],
            'running_h' => self::WHEELS[1],
            'entered_h' => [0, 900, 0, 0, 1200, 0, 0, 400, 0, 0, 700, 0, 1800],
            'method' => 'ml',
        ]);

        self::assertEqualsWithDelta(1.0, $told['shape'] / 3.94605505, 2e-5);
        self::assertEqualsWithDelta(1.0, $told['scale_h'] / 2449.04796, 2e-5);
    }

    /** The handbook’s arithmetic by hand: λ = (w + r)/(w·η0^β + Σt^β). */
    public function test_by_weibayes(): void
    {
        $told = (new WearLife)->compute([
            'failed_h' => [1900, 2100], 'running_h' => [800, 2600], 'usual_life_h' => 2500, 'shape' => 2.5, 'prior_failures' => 2,
        ]);

        self::assertEqualsWithDelta(2735.216, $told['scale_h'], 0.001);
        self::assertEqualsWithDelta(2426.858, $told['mean_h'], 0.001);
        self::assertSame('weibayes', $told['method']);
        // R: exposure <- 2*2817.651^2.5 + sum(c(1900,2100,800,2600)^2.5); gamma(1.4)*(qgamma(c(.975,.025),4)/exposure)^(-1/2.5)
        self::assertEqualsWithDelta([1773.0566, 4082.4349], [$told['low_h'], $told['high_h']], 0.01);
    }

    public function test_a_life_with_no_failure_yet_is_the_trades(): void
    {
        $told = (new WearLife)->compute(['usual_life_h' => 2500]);

        self::assertEqualsWithDelta(2500.0, $told['mean_h'], 1e-6);
        self::assertEqualsWithDelta(WearLife::USUAL_SHAPE, $told['shape'], 1e-12);
    }

    public function test_hours_without_a_failure_make_it_longer(): void
    {
        $told = (new WearLife)->compute(['running_h' => [2400, 2600, 2800], 'usual_life_h' => 2500]);

        self::assertGreaterThan(2700.0, $told['mean_h']);
    }

    public function test_the_shop_believes_itself_from_five_failures_on(): void
    {
        $four = ['failed_h' => [1900, 2100, 2200, 2500], 'running_h' => [2600], 'usual_life_h' => 1000];
        self::assertSame('weibayes', (new WearLife)->compute($four)['method']);

        $told = (new WearLife)->compute(['failed_h' => [...$four['failed_h'], 2650]] + $four);
        self::assertSame('ml', $told['method']);
        self::assertGreaterThan(2200.0, $told['mean_h']);
        self::assertStringContainsString('than the usual 1,000 h', $told['because']);
    }

    public function test_drawn_lives_are_recovered_and_the_interval_holds_as_often_as_it_says(): void
    {
        $random = new Randomizer(new Mt19937(20261128));
        $truth = Weibull::of(2.8, 2100);
        $held = 0;
        for ($i = 0; $i < 200; $i++) {
            $lives = [];
            for ($j = 0; $j < 40; $j++) {
                $hours = $truth->by($random->getInt(0, 999_999_999) / 1e9);
                $seen = (float) $random->getInt(200, 3200);
                $lives[] = $hours <= $seen ? Life::failed(max(0.01, $hours)) : Life::running($seen);
            }
            $judged = (new WearLife)->judge($lives, null, 2.5, 2.0, 'ml');
            $held += $judged->low <= $truth->mean() && $truth->mean() <= ($judged->high ?? INF) ? 1 : 0;
        }

        // 190 are expected; binomial, 99.9 %: 179 to 199
        self::assertGreaterThanOrEqual(179, $held);
        self::assertLessThanOrEqual(199, $held);
    }

    public function test_the_band_lies_around_the_curve_and_widens_where_nothing_was_seen(): void
    {
        $judged = $this->wheels();
        [$low, $high] = $judged->band(2000.0);
        self::assertGreaterThan($low, $judged->life->survival(2000.0));
        self::assertLessThan($high, $judged->life->survival(2000.0));

        // the mean’s own bounds are reached on the edge of the region
        $means = array_map(static fn (Weibull $w): float => $w->mean(), $judged->edge);
        self::assertEqualsWithDelta(1.0, min($means) / $judged->low, 0.002);
        self::assertEqualsWithDelta(1.0, max($means) / (float) $judged->high, 0.002);
    }

    /**
     * R: prof <- function(k) optimize(function(s) loglik(k, s), …)$objective; uniroot(function(k) prof(k) - max + qchisq(.95, 1)/2), and
     * the same with the share that still works at t held: s = t / (-log(p))^(1/k).
     */
    public function test_the_bounds_of_the_shape_and_the_band_are_the_profiles_of_r(): void
    {
        $judged = $this->wheels();
        self::assertNotNull($judged->shapes);
        self::assertEqualsWithDelta([2.29614125, 6.57690446], $judged->shapes, 0.01);
        foreach ([800 => [0.92230733, 0.99951666], 1500 => [0.68243251, 0.97237456], 2300 => [0.25632955, 0.71021289]] as $h => $band) {
            self::assertEqualsWithDelta($band, $judged->band((float) $h), 0.002, "{$h} h");
        }
    }

    public function test_who_failed_and_who_came_through_is_counted_by_either_method(): void
    {
        $lives = [...array_map(Life::failed(...), [900.0, 1400.0]), ...array_map(Life::running(...), [300.0, 800.0, 1200.0])];
        $few = (new WearLife)->judge($lives, 2000.0, 2.5, 2.0, 'auto');
        self::assertSame(['weibayes', 2, 3, null], [$few->method, $few->failures, $few->running, $few->shapes]);
        self::assertStringStartsWith('2 failed, 3 came through so far: too few', $few->because());
        self::assertSame([9, 4], [$this->wheels()->failures, $this->wheels()->running]);
    }

    public function test_scale_of_the_hours_does_not_matter(): void
    {
        $told = (new WearLife)->compute([
            'failed_h' => array_map(static fn (int $h): float => $h * 100.0, self::WHEELS[0]),
            'method' => 'ml',
        ]);
        $same = (new WearLife)->compute(['failed_h' => self::WHEELS[0], 'method' => 'ml']);

        self::assertEqualsWithDelta($same['shape'], $told['shape'], 1e-9);
        self::assertEqualsWithDelta(100.0, $told['scale_h'] / $same['scale_h'], 1e-7);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'nothing at all' => [[], 'usual_life_h', 'Give usual_life_h'];
        yield 'one failure has no shape' => [['failed_h' => [100], 'method' => 'ml'], 'failed_h', 'fewer than two'];
        yield 'all at once have none' => [['failed_h' => [100, 100, 100, 100, 100], 'method' => 'ml'], 'failed_h', 'same hours'];
        yield 'four without the usual' => [['failed_h' => [10, 20, 30, 40]], 'usual_life_h', '4 have'];
        yield 'a used one of unknown hours' => [
            ['failed_h' => [100, 200], 'entered_h' => [0], 'usual_life_h' => 100], 'entered_h', 'one for each of the 2',
        ];
        yield 'hours that run backwards' => [
            ['failed_h' => [100], 'running_h' => [50], 'entered_h' => [0, 60], 'usual_life_h' => 100], 'entered_h.1', 'below the hours',
        ];
        yield 'no hours' => [['failed_h' => [0], 'usual_life_h' => 100], 'failed_h.0', 'from 0.01'];
        yield 'another method' => [['usual_life_h' => 100, 'method' => 'guess'], 'method', 'one of'];
        yield 'a key of nobody' => [['usual_life_h' => 100, 'usual' => 3], 'usual', 'no field'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_what_it_refuses(array $input, string $field, string $why): void
    {
        try {
            (new WearLife)->compute($input);
            self::fail('It was answered.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($why, $e->getMessage());
        }
    }

    private function wheels(): LifeJudged
    {
        return (new WearLife)->judge([
            ...array_map(static fn (int $h): Life => Life::failed($h), self::WHEELS[0]),
            ...array_map(static fn (int $h): Life => Life::running($h), self::WHEELS[1]),
        ], 1800.0, 2.5, 2.0, 'auto');
    }
}
