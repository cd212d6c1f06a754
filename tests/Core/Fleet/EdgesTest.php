<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use InvalidArgumentException;
use OddBench\Fleet\Affected;
use OddBench\Fleet\AgainstSisters;
use OddBench\Fleet\ChangeAge;
use OddBench\Fleet\ChangeWork;
use OddBench\Fleet\Comebacks;
use OddBench\Fleet\FailureCount;
use OddBench\Fleet\HoldsNot;
use OddBench\Fleet\Life;
use OddBench\Fleet\Pace;
use OddBench\Fleet\Share;
use OddBench\Fleet\Visit;
use OddBench\Fleet\WearLife;
use OddBench\Fleet\Weibull;
use OddBench\Knowledge\Knowledge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Where the rules of the fleet turn: the last value that is taken, the first that is not, and what is said on either side. */
final class EdgesTest extends TestCase
{
    /** @return iterable<string, array{callable(): mixed, callable(): mixed}> the first that is refused, the last that is taken */
    public static function bounds(): iterable
    {
        yield 'an age of no hours' => [static fn () => Life::failed(0.0), static fn () => Life::failed(0.01)];
        yield 'fitted with the hours it has' => [static fn () => Life::running(500.0, 500.0), static fn () => Life::running(500.0, 499.9)];
        yield 'fitted before it was made' => [static fn () => Life::running(500.0, -1.0), static fn () => Life::running(500.0, 0.0)];
        yield 'a shape of nothing' => [static fn () => Weibull::of(0.0, 100.0), static fn () => Weibull::of(0.2, 100.0)];
        yield 'a scale of nothing' => [static fn () => Weibull::of(2.0, 0.0), static fn () => Weibull::of(2.0, 0.01)];
        yield 'a shape without end' => [static fn () => Weibull::of(INF, 100.0), static fn () => Weibull::of(30.0, 100.0)];
        yield 'more affected than looked at' => [
            static fn () => Affected::of(10, 3, 4, 0.95),
            static fn () => Affected::of(10, 3, 3, 0.95),
        ];
        yield 'more looked at than there are' => [static fn () => Affected::of(3, 4, 0, 0.95), static fn () => Affected::of(4, 4, 0, 0.95)];
        yield 'fewer affected than none' => [static fn () => Affected::of(3, 2, -1, 0.95), static fn () => Affected::of(3, 2, 0, 0.95)];
        yield 'as sure as that nobody is' => [static fn () => Affected::of(3, 2, 1, 1.0), static fn () => Affected::of(3, 2, 1, 0.9999)];
        yield 'less sure than nothing' => [static fn () => Affected::of(3, 2, 1, -0.1), static fn () => Affected::of(3, 2, 1, 0.0)];
        yield 'a machine that never ran' => [
            static fn () => AgainstSisters::of(1, 0.0, 1, 100.0),
            static fn () => AgainstSisters::of(1, 0.5, 1, 100.0),
        ];
        yield 'sisters that never ran' => [
            static fn () => AgainstSisters::of(1, 100.0, 1, 0.0),
            static fn () => AgainstSisters::of(1, 100.0, 1, 0.5),
        ];
        yield 'fewer visits than none' => [
            static fn () => AgainstSisters::of(-1, 100.0, 1, 100.0),
            static fn () => AgainstSisters::of(0, 100.0, 0, 100.0),
        ];
        yield 'no visit before the end' => [static fn () => Pace::of([100.0], 100.0), static fn () => Pace::of([99.0], 100.0)];
        yield 'fewer came back than none' => [static fn () => Comebacks::of([0.1], -1), static fn () => Comebacks::of([0.1], 0)];
    }

    /**
     * @param  callable(): mixed  $refused
     * @param  callable(): mixed  $taken
     */
    #[DataProvider('bounds')]
    public function test_what_is_none_is_refused_and_the_least_is_taken(callable $refused, callable $taken): void
    {
        self::assertNotNull($taken());
        $this->expectException(InvalidArgumentException::class);
        $refused();
    }

    public function test_half_an_hour_of_sisters_is_watched_too(): void
    {
        // half of all hours are its own and it has the only visit: a toss of a coin
        self::assertEqualsWithDelta(0.5, AgainstSisters::of(1, 0.5, 0, 0.5)->sure, 1e-12);
        self::assertNull(AgainstSisters::of(1, 0.5, 0, 0.5)->sistersBetween);
        self::assertEqualsWithDelta(0.0, AgainstSisters::of(0, 0.5, 3, 0.5)->sure, 0);
    }

    public function test_one_that_holds_as_others_is_said_nothing_of(): void
    {
        $three = [300.0, 600.0, 900.0];
        // 3 visits in 1000 h; P(3 of 3 are its own) = p³, and p³ = 0.05 where its share of the hours is 0.3684
        $share = 0.05 ** (1 / 3);
        $sisters = static fn (float $p): float => 1000.0 * (1 - $p) / $p;

        self::assertTrue(HoldsNot::of($three, 1000.0, 0, $sisters($share - 0.001))->worthAWord());
        self::assertFalse(HoldsNot::of($three, 1000.0, 0, $sisters($share + 0.001))->worthAWord());
        self::assertFalse(HoldsNot::of([500.0, 900.0], 1000.0, 0, 90_000.0)->worthAWord(), 'two visits are too few for a word');
        self::assertStringContainsString('as others', HoldsNot::of($three, 1000.0, 0, $sisters($share + 0.001))->because());
        self::assertStringContainsString('(95 % sure)', HoldsNot::of($three, 1000.0, 0, $sisters($share - 0.001))->because());
        self::assertNull(HoldsNot::of($three, 1000.0, 0, $sisters($share + 0.001))->staysOut(100.0));
        self::assertNull(HoldsNot::of($three, 0.0, 0, 500.0)->sisters, 'it never ran');
        self::assertNotNull(HoldsNot::of([0.2, 0.3, 0.4], 0.5, 0, 0.5)->sisters);
    }

    public function test_one_that_never_came_in_is_as_sure_as_nothing(): void
    {
        self::assertEqualsWithDelta(0.0, HoldsNot::of([], 1000.0, 3, 5000.0)->sure(), 0);
        self::assertSame('0 visits in 1,000 h, its sisters one in 1,670 h: as others.', HoldsNot::of([], 1000.0, 3, 5000.0)->because());
    }

    public function test_a_word_about_a_person_wants_one_comeback_that_is_usual(): void
    {
        self::assertStringContainsString('too few', Comebacks::of(array_fill(0, 99, 0.01), 8)->because());
        self::assertStringContainsString('more than by chance', Comebacks::of([...array_fill(0, 99, 0.01), 0.02], 8)->because());
    }

    public function test_a_life_is_told_against_the_usual_one(): void
    {
        $wear = new WearLife;
        $lives = array_map(static fn (int $h): Life => Life::failed((float) $h), [900, 1000, 1100, 1200, 1300, 1400]);
        $judged = static fn (float $usual): string => $wear->judge($lives, $usual, 2.5, 2.0, 'ml')->because();
        $mean = $wear->judge($lives, null, 2.5, 2.0, 'ml')->life->mean();

        self::assertStringContainsString(', 25 % more than the usual', $judged($mean / 1.25));
        self::assertStringContainsString(', 25 % less than the usual', $judged($mean / 0.75));
        self::assertStringContainsString(', 1 % less than the usual', $judged($mean / 0.993));
        self::assertStringContainsString(', just as is usual', $judged($mean / 0.997));
        self::assertStringNotContainsString('usual', $wear->judge($lives, null, 2.5, 2.0, 'ml')->because());
        self::assertSame(
            ['shape', 'scale_h', 'mean_h', 'low_h', 'high_h', 'method'],
            array_keys($wear->judge($lives, null, 2.5, 2.0, 'ml')->figures()),
        );
    }

    public function test_what_the_trade_says_stands_in_where_nothing_else_is_said(): void
    {
        $wear = new WearLife;
        $few = ['failed_h' => [900], 'running_h' => [400, 700], 'usual_life_h' => 2000];

        self::assertSame($wear->compute([...$few, 'shape' => 2.5, 'prior_failures' => 2]), $wear->compute($few));
        self::assertNotSame($wear->compute([...$few, 'shape' => 3.5]), $wear->compute($few));
        self::assertNotSame($wear->compute([...$few, 'prior_failures' => 4]), $wear->compute($few));
        self::assertEqualsWithDelta(2.5, $wear->compute($few)['shape'], 0);
    }

    public function test_a_class_nobody_wrote_a_guide_for_takes_twenty_minutes(): void
    {
        $known = TradeKnowledge::read();
        $work = ChangeWork::of($known, 'tern-220', 'no-such-class');

        self::assertNull($work->guide);
        self::assertEqualsWithDelta(20.0, $work->minutes, 0);
        // of a class that only a fault knows, the shortest mend
        $bare = new Knowledge(...[...get_object_vars($known), 'guides' => []]);
        $minutes = [];
        foreach ($known->faults as $fault) {
            if (in_array('belt', $fault->mend()->parts, true) && $fault->needs === []) {
                $minutes[] = $fault->mend()->minutes;
            }
        }
        self::assertNotSame([], $minutes);
        self::assertEqualsWithDelta(min($minutes), ChangeWork::of($bare, 'no-such-family', 'belt')->minutes, 0);
    }

    public function test_a_share_is_never_said_as_none_or_all_where_it_is_not(): void
    {
        self::assertSame(
            ['none', 'less than 1 %', 'less than 1 %', '1 %', '50 %', '100 %', 'more than 99 %', 'all'],
            array_map(Share::words(...), [0.0, 1e-9, 0.0049999, 0.005, 0.5, 0.995, 0.9950001, 1.0]),
        );
    }

    public function test_what_just_pays_for_the_opening_is_no_visit(): void
    {
        self::assertSame([], Visit::of(['fan' => -10.0], 10.0)->parts);
        self::assertSame([], Visit::of(['fan' => 0.0], 10.0)->parts, 'it would bring nothing');
        self::assertSame(['fan'], Visit::of(['fan' => 0.1], 10.0)->parts);
        self::assertSame(['fan'], Visit::of(['fan' => -9.9], 10.0, openAnyway: true)->parts);
        self::assertSame(['belt', 'fan'], Visit::of(['fan' => -4.0, 'belt' => -3.0], 10.0)->parts, 'together they do');
        self::assertEqualsWithDelta(3.0, Visit::of(['fan' => -4.0, 'belt' => -3.0], 10.0)->saves, 1e-12);
    }

    public function test_parts_that_cannot_fail_are_not_counted(): void
    {
        $count = FailureCount::of([0.0, 0.25, 0.0]);

        self::assertEqualsWithDelta([0.75, 0.25, 0.0], [$count->exactly(0), $count->exactly(1), $count->exactly(2)], 1e-15);
        self::assertSame([0, 1], [$count->quantile(0.75), $count->quantile(0.7501)]);
        self::assertEqualsWithDelta(0.0, $count->atMost(-1), 0);
        self::assertEqualsWithDelta([1.0, 0.25], $count->atLeast(0.2), 1e-15);
        self::assertEqualsWithDelta([1.0], $count->atLeast(0.3), 1e-15);
        self::assertCount(3, FailureCount::of([0.5, 0.5])->atLeast(0.25), 'as likely as that is told');
    }

    public function test_what_wears_out_by_chance_or_early_is_never_changed_by_the_clock(): void
    {
        foreach ([0.7, 1.0] as $shape) {
            $age = ChangeAge::of(Weibull::of($shape, 1000.0), 10.0, 100.0);
            self::assertNull($age->at);
        }
        self::assertNull(ChangeAge::of(Weibull::of(3.0, 1000.0), 100.0, 100.0)->at, 'a failure costs no more');
        self::assertNotNull(ChangeAge::of(Weibull::of(3.0, 1000.0), 10.0, 100.0)->at);
    }
}
