<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\Circumstance;
use OddBench\Fleet\FitLives;
use OddBench\Fleet\FittedGroup;
use OddBench\Fleet\GroupLife;
use OddBench\Fleet\Life;
use OddBench\Fleet\LifeBook;
use OddBench\Fleet\LifeEnd;
use OddBench\Fleet\Likelihood;
use OddBench\Fleet\NotCounted;
use OddBench\Fleet\Seated;
use OddBench\Fleet\SeenPart;
use OddBench\Fleet\Weibull;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\TradeKnowledge;

/** Lives by class, make, family and circumstance, and which of them a part is judged by. */
final class FitLivesTest extends TestCase
{
    public function test_a_class_goes_by_itself_from_its_fifth_failure_and_says_since_when(): void
    {
        $seen = [];
        foreach ([54, 187, 216, 240, 244, 335, 361, 373, 375, 386] as $i => $hours) {
            $seen[] = self::part(hours: (float) $hours, end: LifeEnd::Failed, endedOn: sprintf('2026-0%d-01', min(9, $i + 1)));
        }
        for ($i = 0; $i < 10; $i++) {
            $seen[] = self::part(hours: 500.0, end: null);
        }
        $all = $this->fit($seen)['heat-break-fan|||'];

        // the handbook’s example (NIST/SEMATECH 8.4.1), R survreg: 1.720797, 606.5276
        self::assertEqualsWithDelta([1.720797, 606.5276], [$all->judged->life->shape, $all->judged->life->scale], 1e-3);
        self::assertSame('2026-05-01', $all->believedFrom);
        self::assertSame([10, 10, 2500.0, false], [$all->judged->failures, $all->judged->running, $all->tradeHours, $all->leansOnAll]);
    }

    public function test_too_few_lean_on_the_trade_and_a_small_group_on_all_of_its_class(): void
    {
        $four = array_map(static fn (int $i): SeenPart => self::part(hours: 1000.0 + 300 * $i, end: LifeEnd::Failed), range(1, 4));
        $few = $this->fit($four);
        self::assertSame(['weibayes', false, 2500.0], [
            $few['heat-break-fan|||']->judged->method, $few['heat-break-fan|||']->leansOnAll, $few['heat-break-fan|||']->judged->usual,
        ]);
        self::assertNull($few['heat-break-fan|||']->believedFrom);

        $more = $this->fit([...$four, ...$four, self::part('heron-cx', hours: 700.0, end: LifeEnd::Failed)]);
        $small = $more['heat-break-fan||heron-cx|'];
        self::assertTrue($small->leansOnAll);
        self::assertEqualsWithDelta($more['heat-break-fan|||']->judged->life->mean(), $small->judged->usual, 1e-9);
        self::assertEqualsWithDelta($more['heat-break-fan|||']->judged->life->shape, $small->judged->life->shape, 1e-9);
    }

    /** R 4.2: pchisq(5.991464547107979, 2) is 0.95; both likelihoods by survreg with strata against one without. */
    public function test_a_group_is_judged_apart_only_where_it_differs_by_more_than_chance(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $draw = static fn (float $mean, string $circumstance): SeenPart => self::part(
            hours: Weibull::withMean(3.0, $mean)->by($random->getInt(1, 999_999) / 1_000_000),
            end: LifeEnd::Failed,
            circumstance: $circumstance,
        );
        $alike = $apart = [];
        for ($i = 0; $i < 40; $i++) {
            $alike[] = $draw(700.0, $i % 2 === 0 ? 'plain' : 'abrasive');
            $apart[] = $draw($i % 2 === 0 ? 700.0 : 320.0, $i % 2 === 0 ? 'plain' : 'abrasive');
        }
        self::assertLessThan(FitLives::APART, $this->fit($alike)['heat-break-fan|||abrasive']->apart);
        $fitted = $this->fit($apart);
        self::assertGreaterThan(30.0, $fitted['heat-break-fan|||abrasive']->apart);

        $book = $this->book($fitted);
        $of = static fn (string $circumstance) => $book->lifeOf(self::part(hours: 100.0, end: null, circumstance: $circumstance));
        self::assertSame('abrasive', $of('abrasive')?->group->circumstance);
        self::assertEqualsWithDelta(320.0, $of('abrasive')->life->mean(), 40.0);
        self::assertEqualsWithDelta(700.0, $of('plain')?->life->mean() ?? 0.0, 70.0);
        self::assertTrue($of('heated')?->group->isAll(), 'of which nothing was seen');
        $same = $this->book($this->fit($alike))->lifeOf(self::part(hours: 9.0, end: null, circumstance: 'abrasive'));
        self::assertTrue($same?->group->isAll());
    }

    /** R 4.2, survival 3.5: 2 · (ll(a) + ll(b) − ll(a and b)) with ll <- survreg(Surv(t, d) ~ 1, dist = "weibull")$loglik[1] */
    public function test_how_far_two_groups_lie_apart_is_the_likelihood_ratio_of_r(): void
    {
        $seen = [];
        foreach ([
            'abrasive' => [[1000, 1100, 1300, 1500, 1700], [800, 900]],
            'plain' => [[1900, 2200, 2500, 2600, 3000], [2000, 1500]],
        ] as $circumstance => [$failed, $running]) {
            foreach ($failed as $hours) {
                $seen[] = self::part(hours: $hours, end: LifeEnd::Failed, circumstance: $circumstance);
            }
            foreach ($running as $hours) {
                $seen[] = self::part(hours: $hours, circumstance: $circumstance);
            }
        }
        $fitted = $this->fit($seen);

        self::assertEqualsWithDelta(15.9802473329, $fitted['heat-break-fan|||abrasive']->apart, 1e-6);
        self::assertEqualsWithDelta(15.9802473329, $fitted['heat-break-fan|||plain']->apart, 1e-6, 'of two the other is the rest');
        self::assertSame(0.0, $fitted['heat-break-fan|||']->apart, 'of all there is no rest');
        self::assertSame([0, 0], (static fn (?GroupLife $l): array => [$l->failures ?? -1, $l->running ?? -1])(
            $this->book([])->lifeOf(self::part(hours: 1.0)),
        ), 'the trade’s word is no failure of this shop');
    }

    public function test_a_family_with_a_life_of_its_own_keeps_it_until_the_class_is_believed(): void
    {
        $trade = TradeKnowledge::read();
        $tern = $trade->families['tern-220'];
        $short = new Position('heat-break-fan', 'Heat-break fan', 'hotend', 'heat-break-fan', lifeHours: 1200.0);
        $hot = new Family(...[...get_object_vars($tern), 'positions' => ['heat-break-fan' => $short] + $tern->positions]);
        $knowledge = new Knowledge(...[...get_object_vars($trade), 'families' => ['tern-220' => $hot] + $trade->families]);
        $lives = new FitLives($knowledge);
        $of = static fn (array $seen): ?GroupLife => LifeBook::of(
            array_map(static fn (FittedGroup $g): GroupLife => $g->life(), $lives->of($seen)),
            $knowledge,
        )->lifeOf(self::part(hours: 9.0, end: null));

        self::assertEqualsWithDelta(1200.0, $of([])?->life->mean(), 1e-6);
        $few = [self::part('heron-cx', hours: 2400.0, end: LifeEnd::Failed)];
        self::assertEqualsWithDelta(1200.0, $of($few)?->life->mean(), 1e-6, 'others of the class say nothing of it yet');
        $many = array_map(
            static fn (int $i): SeenPart => self::part('heron-cx', hours: 1800.0 + 100 * $i, end: LifeEnd::Failed),
            range(0, 7),
        );
        self::assertGreaterThan(2000.0, $of($many)?->life->mean());
        foreach ($lives->of([self::part(hours: 400.0, end: LifeEnd::Failed)]) as $group) {
            self::assertSame($group->group->family === null ? 2500.0 : 1200.0, $group->tradeHours, $group->group->key());
        }
    }

    public function test_what_hours_do_not_wear_has_no_life(): void
    {
        $board = new SeenPart('board', 'tern-220', 'board', 'plain', new Seated(null, 0.0, 900.0, null));

        self::assertSame([], $this->fit([$board]));
        self::assertNull($this->book([])->lifeOf($board));
        self::assertEqualsWithDelta(
            2500.0,
            $this->book([])->lifeOf(self::part(hours: 1.0, end: null))?->life->mean(),
            1e-6,
            'the trade’s word',
        );
    }

    public function test_what_does_not_count_is_counted_by_its_reason(): void
    {
        $all = $this->fit([
            self::part(hours: 900.0, end: null),
            new SeenPart('heat-break-fan', 'tern-220', 'heat-break-fan', 'plain', Seated::original(4000.0, null, false)),
            new SeenPart('heat-break-fan', 'tern-220', 'heat-break-fan', 'plain', new Seated('7', 10.0, 40.0, null, null)),
            new SeenPart('heat-break-fan', 'tern-220', 'heat-break-fan', 'plain', new Seated('7', 10.0, 40.0, null), watched: false),
        ])['heat-break-fan|||'];

        self::assertSame(1, $all->judged->running);
        self::assertEquals([
            NotCounted::CameUsed->value => 1, NotCounted::FittedUsed->value => 1, NotCounted::Unwatched->value => 1,
        ], $all->notCounted);
    }

    public function test_what_an_owner_changes_at_home_is_not_watched(): void
    {
        self::assertTrue(SeenPart::isWatched(atOwner: false, consumable: true, ended: false, original: true));
        self::assertTrue(SeenPart::isWatched(atOwner: true, consumable: false, ended: false, original: true));
        self::assertTrue(SeenPart::isWatched(atOwner: true, consumable: true, ended: true, original: false));
        self::assertFalse(SeenPart::isWatched(atOwner: true, consumable: true, ended: true, original: true));
        self::assertFalse(SeenPart::isWatched(atOwner: true, consumable: true, ended: false, original: false));
        $unwatched = self::part(hours: 900.0, end: null, watched: false);
        self::assertNull($unwatched->age());
        self::assertSame(NotCounted::Unwatched, $unwatched->life());
    }

    public function test_among_what_a_part_runs(): void
    {
        $knowledge = TradeKnowledge::read();
        self::assertSame('plain', Circumstance::of($knowledge->families['tern-220'], false, false));
        self::assertSame('abrasive+heated', Circumstance::of($knowledge->families['bittern-ht'], true, false));
        self::assertSame('abrasive+hot', Circumstance::of(null, true, true));
        self::assertSame('abrasive filament, heated chamber', Circumstance::words('abrasive+heated'));
        self::assertSame('plain filament, no heated chamber', Circumstance::words('plain'));
    }

    public function test_of_many_lives_sums_of_powers_are_read_from_a_curve_to_the_last_digits(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $lives = [];
        for ($i = 0; $i < 900; $i++) {
            $hours = Weibull::of(2.2, 1500.0)->by($random->getInt(1, 999_999) / 1_000_000);
            $lives[] = $i % 3 === 0 ? Life::failed($hours) : Life::running($hours, $i % 5 === 0 ? $hours / 2 : 0.0);
        }
        $exact = Likelihood::of($lives);
        $best = $exact->best();
        self::assertNotNull($best);
        $read = $exact->around($best->shape);
        foreach ([0.2, 0.7, 1.0, 1.9, 2.2, 3.3, 6.0, 20.0] as $shape) {
            self::assertEqualsWithDelta(1.0, $read->exposure($shape) / $exact->exposure($shape), 1e-9, "{$shape}");
        }
        $mean = static fn (float $s, float $m): float => $m / Weibull::meanOfUnit($s);
        self::assertEqualsWithDelta($exact->interval($best, $best->mean(), $mean), $read->interval($best, $best->mean(), $mean), 1e-4);
        $few = Likelihood::of(array_slice($lives, 0, 100));
        self::assertSame($few, $few->around(2.0));
    }

    /**
     * @param  list<SeenPart>  $seen
     * @return array<string, FittedGroup> by key
     */
    private function fit(array $seen): array
    {
        $fitted = [];
        foreach ((new FitLives(TradeKnowledge::read()))->of($seen) as $group) {
            $fitted[$group->group->key()] = $group;
        }

        return $fitted;
    }

    /** @param  array<string, FittedGroup>  $fitted */
    private function book(array $fitted): LifeBook
    {
        return LifeBook::of(array_map(static fn (FittedGroup $g) => $g->life(), $fitted), TradeKnowledge::read());
    }

    private static function part(
        string $family = 'tern-220',
        float $hours = 1.0,
        ?LifeEnd $end = null,
        string $circumstance = 'plain',
        ?string $endedOn = null,
        bool $watched = true,
    ): SeenPart {
        return new SeenPart(
            'heat-break-fan', $family, 'heat-break-fan', $circumstance, new Seated(null, 0.0, $hours, $end), $endedOn, $watched,
        );
    }
}
