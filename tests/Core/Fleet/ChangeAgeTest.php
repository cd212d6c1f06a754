<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\ChangeAge;
use OddBench\Fleet\FailureRisk;
use OddBench\Fleet\PlannedChange;
use OddBench\Fleet\Weibull;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Against R 4.2: C <- function(T) (cp*R(T) + cf*(1 - R(T)))/integrate(R, 0, T)$value with R(t) = pweibull(t, shape, scale, lower = FALSE);
 * optimize(C, c(1, 2*scale)); the flat by uniroot(C(T) - 1.01*least).
 */
final class ChangeAgeTest extends TestCase
{
    /** @return iterable<string, array{list<float>, float, float, float, float, float}> */
    public static function fromR(): iterable
    {
        yield 'a fan' => [[2.5, 2817.651, 1770, 7770], 1486.8854, 2.04074852, 3.10800027, 1313.471, 1684.149];
        yield 'hardly wears out' => [[1.5, 900, 400, 2500], 498.50019, 2.60483038, 3.0770338, 400.5252, 632.0985];
        yield 'wears out at once' => [[6, 1500, 3000, 4200], 1344.0312, 2.77224535, 3.0181542, 1242.257, 1458.124];
    }

    /** @param  list<float>  $of */
    #[DataProvider('fromR')]
    public function test_the_cheapest_age(array $of, float $at, float $cost, float $toFailure, float $from, float $to): void
    {
        [$shape, $scale, $planned, $failure] = $of;
        $told = (new PlannedChange)->compute([
            'shape' => $shape, 'scale_h' => $scale, 'planned_cost' => $planned, 'failure_cost' => $failure,
        ]);

        self::assertEqualsWithDelta($at, $told['at_h'], 0.01);
        self::assertEqualsWithDelta($cost, $told['cost_per_h'], 1e-7);
        self::assertEqualsWithDelta($toFailure, $told['run_to_failure_per_h'], 1e-7);
        self::assertEqualsWithDelta([$from, $to], [$told['flat_from_h'], $told['flat_to_h']], 0.01);
    }

    public function test_what_does_not_wear_out_is_not_changed_by_the_clock(): void
    {
        foreach ([0.6, 1.0] as $shape) {
            $change = ChangeAge::of(Weibull::of($shape, 2000), 10, 1000);
            self::assertFalse($change->byTheClock());
            self::assertStringContainsString('a new one fails as easily', $change->because());
        }
    }

    public function test_what_costs_no_more_when_it_fails_runs_until_it_does(): void
    {
        $change = ChangeAge::of(Weibull::of(3, 2000), 1000, 1000);
        self::assertNull($change->at);
        self::assertStringContainsString('costs no more', $change->because());
        self::assertEqualsWithDelta(1000 / Weibull::of(3, 2000)->mean(), $change->toFailure, 1e-12);
    }

    public function test_changed_by_the_clock_never_costs_more_than_run_to_failure(): void
    {
        foreach ([1.2, 2.0, 4.0, 9.0] as $shape) {
            foreach ([1.05, 2.0, 20.0] as $ratio) {
                $change = ChangeAge::of(Weibull::of($shape, 1500), 100, 100 * $ratio);
                if ($change->at !== null) {
                    self::assertLessThanOrEqual($change->toFailure * (1 + 1e-9), $change->costPerHour);
                }
            }
        }
    }

    /** R: 1 - exp((2000/2817.651)^2.5 - (2240/2817.651)^2.5) */
    public function test_the_risk_of_the_next_hours(): void
    {
        $told = (new FailureRisk)->compute(['shape' => 2.5, 'scale_h' => 2817.651, 'age_h' => 2000, 'next_h' => 240]);

        self::assertEqualsWithDelta(0.129799, $told['probability'], 5e-7);
        self::assertSame('At 2,000 h it works; within 240 h more 13 % of such parts fail.', $told['because']);
    }

    public function test_without_wear_the_age_does_not_matter(): void
    {
        $life = Weibull::of(1.0, 1000);

        self::assertEqualsWithDelta($life->failsWithin(10, 50), $life->failsWithin(5000, 50), 1e-12);
        self::assertSame(0.0, $life->failsWithin(300, 0));
    }

    /** R: integrate(function(t) pweibull(t, shape, scale, lower = FALSE), 0, T, rel.tol = 1e-12) */
    public function test_the_hours_it_runs_when_changed(): void
    {
        self::assertEqualsWithDelta(1405.79758575, Weibull::of(2.5, 2817.651)->runsUntil(1486.9), 1e-6);
        self::assertEqualsWithDelta(981.20042282, Weibull::of(0.8, 1000)->runsUntil(3000), 1e-6);
        self::assertEqualsWithDelta(198.983238969, Weibull::of(4, 500)->runsUntil(200), 1e-7);
    }

    public function test_costs_and_shapes_that_cannot_be(): void
    {
        foreach ([
            ['shape', ['shape' => 0, 'scale_h' => 10, 'planned_cost' => 1, 'failure_cost' => 2]],
            ['planned_cost', ['shape' => 2, 'scale_h' => 10, 'planned_cost' => 0, 'failure_cost' => 2]],
            ['failure_cost', ['shape' => 2, 'scale_h' => 10, 'planned_cost' => 1, 'failure_cost' => -2]],
        ] as [$field, $input]) {
            try {
                (new PlannedChange)->compute($input);
                self::fail('It was answered.');
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
    }
}
