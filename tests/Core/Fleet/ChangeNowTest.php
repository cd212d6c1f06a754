<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\ChangeAge;
use OddBench\Fleet\ChangeCosts;
use OddBench\Fleet\ChangeNow;
use OddBench\Fleet\LifeEnd;
use OddBench\Fleet\PartRisk;
use OddBench\Fleet\Weibull;
use PHPUnit\Framework\TestCase;

final class ChangeNowTest extends TestCase
{
    /**
     * R 4.2: S <- function(t) pweibull(t, 2.5, 2817.651, lower = FALSE); integrate(S, a, a + h)$value / S(a)
     */
    public function test_the_hours_it_still_runs(): void
    {
        $life = Weibull::of(2.5, 2817.651);
        foreach ([[0.0, 240.0], [2000.0, 240.0], [3100.0, 1500.0], [800.0, 4000.0]] as [$age, $ahead]) {
            $exact = ($life->runsUntil($age + $ahead) - $life->runsUntil($age)) / $life->survival($age);
            self::assertEqualsWithDelta(1.0, ChangeNow::runs($life, $age, $ahead) / $exact, 1e-5);
        }
    }

    public function test_one_that_has_outlived_all_others_is_summed_up_as_well(): void
    {
        $life = Weibull::of(6.0, 1000);
        // at three lives it fails within 1/hazard hours: 1000/(6·3⁵)
        self::assertEqualsWithDelta(1000 / (6 * 3 ** 5), ChangeNow::runs($life, 3000.0, 500.0), 0.01);
    }

    public function test_it_pays_from_the_cheapest_age_on_and_not_before(): void
    {
        foreach ([
            [2.5, 2817.651, 1770.0, 7770.0],
            [1.5, 900.0, 400.0, 2500.0],
            [6.0, 1500.0, 3000.0, 4200.0],
        ] as [$shape, $scale, $planned, $failure]) {
            $life = Weibull::of($shape, $scale);
            $policy = ChangeAge::of($life, $planned, $failure);
            $at = (float) $policy->at;
            // over a short span it turns just there: hazard · (failure − planned) = cost an hour
            self::assertLessThan(0.0, ChangeNow::of($life, $policy, $planned, $failure, 0.98 * $at, 1.0)->saves);
            self::assertGreaterThan(0.0, ChangeNow::of($life, $policy, $planned, $failure, 1.02 * $at, 1.0)->saves);
        }
    }

    public function test_what_does_not_wear_out_never_pays(): void
    {
        $life = Weibull::of(1.0, 2000);
        $policy = ChangeAge::of($life, 100, 5000);
        foreach ([0.0, 2000.0, 20_000.0] as $age) {
            self::assertLessThan(0.0, ChangeNow::of($life, $policy, 100, 5000, $age, 300)->saves);
        }
    }

    public function test_its_figure_is_the_difference_of_both_ways(): void
    {
        $life = Weibull::of(2.5, 2817.651);
        $policy = ChangeAge::of($life, 1770, 7770);
        $now = ChangeNow::of($life, $policy, 1770, 7770, 2400, 240);

        self::assertEqualsWithDelta($life->failsWithin(2400, 240), $now->risk, 1e-12);
        $waits = $now->risk * 7770 + (1 - $now->risk) * 1770;
        self::assertEqualsWithDelta($waits - 1770 - $policy->costPerHour * ChangeNow::runs($life, 2400, 240), $now->saves, 1e-9);
    }

    /** Leaving it alone is the cheapest at every age before the cheapest one: the value of what is left follows from its own next hours. */
    public function test_what_is_left_of_a_part_is_worth_the_same_seen_from_later(): void
    {
        foreach ([
            [2.5, 2817.651, 1770.0, 7770.0],
            [1.4, 900.0, 700.0, 800.0],
            [1.0, 900.0, 700.0, 5000.0],
            [0.7, 900.0, 700.0, 5000.0],
        ] as [$shape, $scale, $planned, $failure]) {
            $life = Weibull::of($shape, $scale);
            $policy = ChangeAge::of($life, $planned, $failure);
            self::assertEqualsWithDelta(0.0, $policy->over(0.0), 1e-6 * $failure, 'a new one costs nothing over a new one');
            foreach ([0.0, 200.0, 700.0, 1100.0] as $age) {
                // from here to 300 h later and on: the same
                self::assertEqualsWithDelta(
                    $policy->over($age) - $planned,
                    ChangeNow::of($life, $policy, $planned, $failure, $age, 300.0)->saves,
                    2e-3 * $failure,
                );
            }
        }
    }

    /**
     * R 4.2: S <- function(t) pweibull(t, 2.5, 2817.651, lower = FALSE); g <- 2.0407485; T <- 1486.88536; x <- 800
     * 1770 * S(T)/S(x) + 7770 * (1 - S(T)/S(x)) - g * integrate(S, x, T)$value / S(x)
     */
    public function test_the_value_of_a_part_of_800_hours(): void
    {
        self::assertEqualsWithDelta(1342.57061, ChangeAge::of(Weibull::of(2.5, 2817.651), 1770, 7770)->over(800.0), 1e-3);
    }

    public function test_a_new_part_is_not_changed_because_the_machine_is_open(): void
    {
        $costs = ChangeCosts::of(330, 13, 12, 30, 90, 18, 120);
        $life = Weibull::of(2.5, 2817.651);
        $opening = $costs->opening;
        foreach ([[0.0, false], [700.0, false], [1200.0, false], [1900.0, true], [2800.0, true]] as [$age, $comesAlong]) {
            $saves = PartRisk::ahead($life, $costs, $age, 62.0)[2]['saves'];
            self::assertSame($comesAlong, $saves + $opening > 0.0, "{$age} h");
        }
        self::assertSame(-$costs->planned, PartRisk::ahead(Weibull::of(1.0, 2000), $costs, 5000.0, 62.0)[8]['saves'], 'not by the clock');
        self::assertSame(-$costs->planned, PartRisk::ahead($life, $costs, null, 62.0)[8]['saves'], 'of an age nobody knows');
    }

    public function test_how_a_life_ended(): void
    {
        self::assertSame(LifeEnd::Failed, LifeEnd::of(null, takesPart: true, kept: false, upgrade: false));
        self::assertSame(LifeEnd::Worked, LifeEnd::of(null, takesPart: false, kept: false, upgrade: false));
        self::assertSame(LifeEnd::Worked, LifeEnd::of(null, takesPart: true, kept: true, upgrade: false));
        self::assertSame(LifeEnd::Worked, LifeEnd::of(null, takesPart: true, kept: false, upgrade: true));
        self::assertSame(LifeEnd::Worked, LifeEnd::of(LifeEnd::Worked, takesPart: true, kept: false, upgrade: false));
        self::assertSame(LifeEnd::Failed, LifeEnd::of(LifeEnd::Failed, takesPart: false, kept: true, upgrade: true));
    }
}
