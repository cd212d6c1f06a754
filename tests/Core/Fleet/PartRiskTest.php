<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\AgainstSisters;
use OddBench\Fleet\ChangeAge;
use OddBench\Fleet\ChangeCosts;
use OddBench\Fleet\ChangeNow;
use OddBench\Fleet\Comebacks;
use OddBench\Fleet\HoldsNot;
use OddBench\Fleet\Hours;
use OddBench\Fleet\Pace;
use OddBench\Fleet\PartRisk;
use OddBench\Fleet\Share;
use OddBench\Fleet\Trend;
use OddBench\Fleet\Weibull;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is foretold of one part week by week, and how shares and machines are spoken of. */
final class PartRiskTest extends TestCase
{
    private static function costs(): ChangeCosts
    {
        return ChangeCosts::known(1770.0, 7770.0);
    }

    public function test_the_risk_of_each_span_is_that_of_its_hours(): void
    {
        $life = Weibull::of(2.5, 2817.651);
        $ahead = PartRisk::ahead($life, self::costs(), 1500.0, 55.0);

        self::assertSame([1, 2, 4, 8], array_keys($ahead));
        foreach ($ahead as $weeks => $of) {
            // R: 1 - pweibull(1500 + 55 * w, 2.5, 2817.651, lower = FALSE) / pweibull(1500, 2.5, 2817.651, lower = FALSE)
            self::assertEqualsWithDelta(
                1 - exp((1500 / 2817.651) ** 2.5 - ((1500 + 55 * $weeks) / 2817.651) ** 2.5),
                $of['risk'],
                1e-9,
                "{$weeks} weeks",
            );
        }
    }

    public function test_a_part_is_ripe_when_it_reaches_the_age_at_which_it_is_nearly_cheapest(): void
    {
        $life = Weibull::of(2.5, 2817.651);
        $policy = ChangeAge::of($life, 1770.0, 7770.0);
        self::assertNotNull($policy->flat);
        [$from] = $policy->flat;
        $costs = self::costs();

        // 100 h a week: a week before it is ripe in the second week's end, and not in the first's
        $before = PartRisk::ahead($life, $costs, $from - 150.0, 100.0);
        self::assertSame(-1770.0, $before[1]['saves'], 'not within a week: the machine is opened again before that');
        self::assertNotSame(-1770.0, $before[2]['saves']);
        self::assertNotSame(-1770.0, PartRisk::ahead($life, $costs, $from - 100.0, 100.0)[1]['saves'], 'just there');
        $now = ChangeNow::of($life, $policy, 1770.0, 7770.0, $from + 900.0, 200.0);
        self::assertEqualsWithDelta($now->saves, PartRisk::ahead($life, $costs, $from + 900.0, 100.0)[2]['saves'], 1e-9);
        self::assertGreaterThan(0.0, PartRisk::ahead($life, $costs, $from + 2500.0, 100.0)[8]['saves']);
    }

    public function test_a_machine_that_stands_wears_nothing_and_an_unknown_age_foretells_nothing(): void
    {
        $life = Weibull::of(2.5, 2817.651);
        self::assertSame(0.0, PartRisk::ahead($life, self::costs(), 1500.0, 0.0)[8]['risk']);
        self::assertSame(
            array_fill_keys(PartRisk::WEEKS, ['risk' => 0.0, 'saves' => -1770.0]),
            PartRisk::ahead($life, self::costs(), null, 100.0),
        );
    }

    public function test_what_fails_by_chance_has_a_risk_and_is_never_changed_for_it(): void
    {
        $ahead = PartRisk::ahead(Weibull::of(1.0, 5000.0), self::costs(), 9000.0, 100.0);

        self::assertEqualsWithDelta(1 - exp(-400 / 5000), $ahead[4]['risk'], 1e-12, 'whatever its age');
        self::assertSame(-1770.0, $ahead[8]['saves']);
    }

    public function test_what_costs_nothing_is_no_division_by_nothing(): void
    {
        self::assertIsFloat(PartRisk::ahead(Weibull::of(2.5, 2000.0), ChangeCosts::known(0.0, 0.0), 100.0, 50.0)[1]['risk']);
    }

    /** @return iterable<array{float, string}> */
    public static function shares(): iterable
    {
        yield [0.0, 'none'];
        yield [0.0001, 'less than 1 %'];
        yield [0.0049, 'less than 1 %'];
        yield [0.0051, '1 %'];
        yield [0.27, '27 %'];
        yield [0.994, '99 %'];
        yield [0.9951, 'more than 99 %'];
        yield [1.0, 'all'];
    }

    #[DataProvider('shares')]
    public function test_a_share_is_never_none_or_all_where_it_is_not(float $share, string $words): void
    {
        self::assertSame($words, Share::words($share));
    }

    /** R: pbinom(own - 1, own + theirs, h / (h + H)), the chance that it comes in less often by chance alone */
    public function test_against_its_sisters_by_hand(): void
    {
        $of = AgainstSisters::of(2, 100.0, 1, 300.0);

        // of three visits two or three are its own, at a chance of a quarter each: 3 · 1/16 · 3/4 + 1/64
        self::assertEqualsWithDelta(1 - (9 / 64 + 1 / 64), $of->sure, 1e-12);
        self::assertSame([50.0, 300.0], [$of->between, $of->sistersBetween]);
        self::assertSame(0.0, AgainstSisters::of(0, 100.0, 5, 300.0)->sure);
        foreach ([[-1, 1.0, 0, 1.0], [0, 0.0, 0, 1.0], [0, 1.0, -1, 1.0], [0, 1.0, 0, 0.0]] as $cannot) {
            try {
                AgainstSisters::of(...$cannot);
                self::fail(json_encode($cannot) ?: '');
            } catch (\InvalidArgumentException $e) {
                self::assertStringContainsString('Hours above 0', $e->getMessage());
            }
        }
    }

    public function test_a_visit_at_the_first_or_the_last_hour_makes_no_trend_and_is_a_visit_all_the_same(): void
    {
        $inside = HoldsNot::of([400.0, 700.0, 900.0], 1000.0, 3, 6000.0);
        $edges = HoldsNot::of([0.0, 400.0, 700.0, 900.0, 1000.0], 1000.0, 3, 6000.0);

        self::assertEquals($inside->pace, $edges->pace);
        self::assertSame([3, 5], [$inside->visits, $edges->visits]);
        self::assertNull(HoldsNot::of([400.0, 700.0], 1000.0, 3, 6000.0)->pace, 'two are no trend');
        self::assertNull(HoldsNot::of([400.0], 1000.0, 0, 0.0)->sisters, 'it has none');
        self::assertFalse(HoldsNot::of([], 1000.0, 3, 6000.0)->worthAWord());
    }

    public function test_how_long_it_stays_out_goes_by_its_pace_where_it_gets_worse_and_else_by_all_its_visits(): void
    {
        $worse = HoldsNot::of([500.0, 800.0, 900.0, 950.0, 980.0, 995.0], 1000.0, 0, 0.0);
        self::assertNotNull($worse->pace);
        self::assertGreaterThan(Pace::SURE, $worse->pace->worse());
        self::assertEqualsWithDelta(exp(-500 / $worse->pace->between), $worse->staysOut(500.0), 1e-12);
        self::assertSame(1.0, $worse->staysOut(0.0));

        // evenly, and far more often than its sisters: one in 200 h
        $often = HoldsNot::of([200.0, 400.0, 600.0, 800.0, 999.0], 1000.0, 1, 20_000.0);
        self::assertEqualsWithDelta(exp(-500 / 200), $often->staysOut(500.0), 1e-12);
        self::assertNull(HoldsNot::of([500.0], 1000.0, 2, 2000.0)->staysOut(500.0), 'as others');
    }

    public function test_what_it_says_of_a_machine_is_rounded_down_and_never_certain(): void
    {
        $holds = HoldsNot::of([200.0, 400.0, 600.0, 800.0, 900.0, 950.0, 980.0], 1000.0, 1, 60_000.0);

        self::assertStringContainsString('7 visits in 1,000 h, its sisters one in 60,000 h: ', $holds->because());
        self::assertStringContainsString('more often than its sisters (99 % sure)', $holds->because());
        self::assertGreaterThan(0.9999, $holds->sure());
        self::assertSame('0 visits in 1,000 h, its sisters one in 2,000 h: as others.', HoldsNot::of([], 1000.0, 3, 6000.0)->because());
    }

    public function test_a_field_nobody_knows_is_refused_by_a_trend(): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('hours');
        (new Trend)->compute(['at_h' => [100, 200, 300], 'until_h' => 400, 'hours' => 3]);
    }

    public function test_hours_are_said_to_what_matters_of_them(): void
    {
        self::assertSame(
            ['7 h', '99 h', '100 h', '345 h', '1,000 h', '1,010 h', '12,340 h'],
            array_map(Hours::words(...), [7.3, 99.4, 101.0, 346.0, 999.0, 1006.0, 12_344.0]),
        );
    }

    public function test_comebacks_of_which_none_are_expected_have_no_ratio(): void
    {
        $none = Comebacks::of([0.0, 0.0], 0);

        self::assertSame([null, null], [$none->ratio(), $none->interval()]);
        self::assertSame('0 of 2 came back: too few to say more.', $none->because());
        $few = Comebacks::of([0.25, 0.25], 1);
        self::assertSame(2.0, $few->ratio());
        self::assertStringContainsString('too few', $few->because());
        self::assertStringContainsString('as usual', Comebacks::of(array_fill(0, 60, 0.1), 6)->because());
        self::assertStringContainsString('more than by chance', Comebacks::of(array_fill(0, 60, 0.1), 20)->because());
        self::assertStringContainsString('fewer than by chance', Comebacks::of(array_fill(0, 200, 0.1), 5)->because());
    }

    public function test_of_one_visit_a_pace_says_so(): void
    {
        self::assertStringStartsWith('1 visit in 1,000 h: too few', Pace::of([400.0], 1000.0)->because());
        $this->expectException(\InvalidArgumentException::class);
        Pace::of([1000.0], 1000.0);
    }

    public function test_a_part_nobody_thought_would_last_fails_at_the_next_chance(): void
    {
        $life = Weibull::of(3.0, 1000.0);
        $costs = ChangeAge::of($life, 500.0, 400.0);
        self::assertNull($costs->at, 'a failure costs less: it runs until it fails');

        // at 4,000 h hardly one in 10^27 is left: it runs 1/hazard more, which is 1000^3 / (3 · 4000^2) hours
        $next = 1e9 / (3 * 4000.0 ** 2);
        self::assertEqualsWithDelta(400.0 - $costs->toFailure * $next, $costs->over(4000.0), 1e-6);
        // and young, the rest of its life by Simpson’s rule over S(t)/S(a)
        $sum = 0.0;
        for ($i = 0; $i <= 4000; $i++) {
            $sum += ($i === 0 || $i === 4000 ? 1 : ($i % 2 === 1 ? 4 : 2)) * exp(0.3 ** 3 - (0.3 + $i / 1000) ** 3);
        }
        self::assertEqualsWithDelta(400.0 - $costs->toFailure * $sum / 3, $costs->over(300.0), 1e-3);
    }
}
