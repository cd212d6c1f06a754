<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use OddBench\Fleet\ChangeCosts;
use OddBench\Fleet\ChangeWork;
use OddBench\Fleet\ComebackRates;
use OddBench\Fleet\HoldsNot;
use OddBench\Fleet\LookFirst;
use OddBench\Fleet\Visit;
use OddBench\Input\InputError;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

final class VisitTest extends TestCase
{
    /** Every set of parts tried: opening is paid once, so each saves what it saves alone and the opening besides. */
    public function test_what_is_changed_while_it_is_open_is_the_set_that_saves_most(): void
    {
        foreach ([[120.0, -300.0, -900.0, -1200.0], [-500.0, -700.0], [-1100.0], [40.0], [-200.0, -300.0, -400.0]] as $saves) {
            $best = 0.0;
            for ($set = 1; $set < 2 ** count($saves); $set++) {
                $sum = -1080.0;
                foreach ($saves as $i => $alone) {
                    $sum += ($set >> $i & 1) === 1 ? $alone + 1080.0 : 0.0;
                }
                $best = max($best, $sum);
            }
            self::assertEqualsWithDelta($best, Visit::of($saves, 1080.0)->saves, 1e-9);
        }
        self::assertSame([0, 1, 2], Visit::of([120.0, -300.0, -900.0, -1200.0], 1080.0)->parts);
        self::assertSame([], Visit::of([-1079.0], 1080.0)->parts, 'it does not pay its own opening');
        self::assertSame(['fan'], Visit::of(['fan' => -1079.0], 1080.0, true)->parts, 'it lies open anyway');
    }

    public function test_costs_of_a_change_planned_and_not(): void
    {
        // part 3.30, 13 + 12 minutes at 0.90; failing: 30 minutes more, and 17.7 h at 1.20
        $costs = ChangeCosts::of(330, 13, 12, 30, 90, 17.7, 120);

        self::assertEqualsWithDelta([2580.0, 7404.0, 1080.0], [$costs->planned, $costs->failure, $costs->opening], 1e-9);
        $this->expectException(InputError::class);
        ChangeCosts::of(330, 13, 12, -1, 90, 17.7, 120);
    }

    public function test_how_a_part_is_changed_comes_from_its_guide(): void
    {
        $knowledge = TradeKnowledge::read();
        $of = static fn (string $family, string $class): array => [
            ChangeWork::of($knowledge, $family, $class)->guide, ChangeWork::of($knowledge, $family, $class)->minutes,
        ];
        self::assertSame('change-fans', $of('tern-220', 'heat-break-fan')[0]);
        self::assertSame('change-nozzle-hot', $of('tern-220', 'nozzle')[0]);
        self::assertSame('change-one-piece-hotend', $of('heron-cx', 'nozzle')[0], 'its nozzle is one piece with the hot end');
        self::assertSame([null, ChangeWork::USUAL_MINUTES], $of('tern-220', 'no-such'));
    }

    public function test_a_machine_that_does_not_hold(): void
    {
        $worse = HoldsNot::of([300.0, 520.0, 650.0, 720.0, 760.0], 800.0, 8, 5600.0);
        self::assertTrue($worse->worthAWord());
        self::assertStringContainsString('5 visits in 800 h, its sisters one in 700 h', $worse->because());
        self::assertStringContainsString('getting worse', $worse->because());
        self::assertStringContainsString('more often than its sisters', $worse->because());
        $fine = HoldsNot::of([200.0, 400.0, 620.0], 800.0, 40, 9000.0);
        self::assertFalse($fine->worthAWord());
        self::assertStringContainsString('as others', $fine->because());
        self::assertFalse(HoldsNot::of([700.0, 790.0], 800.0, 0, 9000.0)->worthAWord(), 'two visits are no trend');
    }

    public function test_a_fault_mended_seldom_leans_on_all_of_them(): void
    {
        $rates = ComebackRates::of(['seldom' => ['mended' => 1, 'back' => 1], 'often' => ['mended' => 99, 'back' => 9]]);

        self::assertEqualsWithDelta(0.1, $rates->overall, 1e-12);
        self::assertEqualsWithDelta((1 + 1.0) / 11, $rates->chance('seldom'), 1e-12);
        self::assertEqualsWithDelta((9 + 1.0) / 109, $rates->chance('often'), 1e-12);
        self::assertEqualsWithDelta(0.1, $rates->chance('never'), 1e-12);
        self::assertSame(0.0, ComebackRates::of([])->chance('any'));
    }

    public function test_which_machine_is_looked_at_first(): void
    {
        $order = [
            'runs, likely' => LookFirst::of(true, 0.3, 1.0),
            'with its owner, dangerous' => LookFirst::of(true, 0.2, LookFirst::harm(true, true)),
            'runs, unknown' => LookFirst::of(true, null, 1.0),
            'runs, hardly' => LookFirst::of(true, 0.01, 1.0),
            'stands, likely' => LookFirst::of(false, 0.9, 1.0),
        ];
        uasort($order, static fn (LookFirst $a, LookFirst $b): int => $a->against($b));

        self::assertSame(
            ['with its owner, dangerous', 'runs, likely', 'runs, unknown', 'runs, hardly', 'stands, likely'],
            array_keys($order),
        );
        self::assertSame(1.0, LookFirst::harm(false, true));
        self::assertSame(1.0, LookFirst::harm(true, false));
    }
}
