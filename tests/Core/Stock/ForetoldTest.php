<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Input\InputError;
use OddBench\Stock\DemandRate;
use OddBench\Stock\Foretold;
use OddBench\Stock\Reorder;
use OddBench\Stock\ReorderCase;
use PHPUnit\Framework\TestCase;

/** What parts in use say of themselves, beside what history says. */
final class ForetoldTest extends TestCase
{
    public function test_what_is_foretold_for_some_spans_is_asked_for_another(): void
    {
        $spans = [1 => new Foretold(1.0, 0.8, 20), 2 => new Foretold(1.8, 1.4, 20), 4 => new Foretold(4.0, 3.0, 20)];
        foreach ([
            [0.0, 0.0, 0.0],
            [0.5, 0.5, 0.4],
            [1.0, 1.0, 0.8],
            [3.0, 2.9, 2.2],
            [4.0, 4.0, 3.0],
            [6.0, 6.0, 4.5],
        ] as [$weeks, $mean, $variance]) {
            $foretold = Foretold::within($weeks, $spans);
            self::assertEqualsWithDelta(
                [$mean, $variance, 20],
                [$foretold->expected, $foretold->variance, $foretold->inUse],
                1e-12,
                "{$weeks} weeks",
            );
        }
        $both = Foretold::together([new Foretold(1.0, 0.8, 20), new Foretold(0.35, 0.3, 4)]);
        self::assertEqualsWithDelta([1.35, 1.1, 24], [$both->expected, $both->variance, $both->inUse], 1e-12);
        self::assertSame('1.4 of 24 in use are expected to fail by then', $both->words());
        self::assertSame('12 in use are expected to fail by then', (new Foretold(12.3, 4.0))->words());
    }

    /** R 4.2: qpois(0.9, 3 * 0.4 + 2.6) is 6, ppois(1, 3.8, lower.tail = FALSE) is 0.8926 */
    public function test_it_is_asked_for_besides_what_history_asks_for(): void
    {
        $case = static fn (?Foretold $foretold): ReorderCase => new ReorderCase(
            demand: DemandRate::known(0.4),
            leadWeeks: 3.0,
            serviceLevel: 0.9,
            pack: 1,
            onHand: 1,
            foretold: $foretold,
        );
        $judged = (new Reorder)->judge($case(new Foretold(2.6, 1.9, 20)));

        self::assertSame(6, $judged->point);
        self::assertEqualsWithDelta(0.8926, $judged->risk, 1e-4);
        self::assertEqualsWithDelta(0.4 + 2.6 / 3, $judged->demandPerWeek, 1e-12);
        self::assertSame(6, $judged->packs);
        self::assertStringEndsWith('2.6 of 20 in use are expected to fail by then.', $judged->because);
        $without = (new Reorder)->judge($case(null));
        self::assertSame([3, 3], [$without->point, $without->packs]);
        self::assertStringNotContainsString('in use', $without->because);
    }

    public function test_what_is_only_in_use_is_ordered_before_anybody_ever_asked_for_it(): void
    {
        $judged = (new Reorder)->judge(new ReorderCase(
            demand: DemandRate::of([0.0, 0.0, 0.0, 0.0]),
            leadWeeks: 3.0,
            serviceLevel: 0.9,
            pack: 1,
            onHand: 0,
            foretold: new Foretold(1.5, 1.2, 6),
        ));

        self::assertGreaterThan(0, $judged->packs);
        self::assertEqualsWithDelta(0.5, $judged->demandPerWeek, 1e-12);
    }

    public function test_the_computation_takes_it_and_names_what_is_wrong(): void
    {
        $input = ['demand_per_week' => 0.4, 'lead_time_weeks' => 3, 'service_level' => 0.9, 'pack_size' => 1, 'on_hand' => 1];
        $answer = (new Reorder)->compute($input + ['foretold' => ['expected' => 2.6, 'sd' => 1.3, 'in_use' => 20]]);
        self::assertSame(6, $answer['reorder_point']);
        // a larger spread than chance alone asks for more
        $wide = (new Reorder)->compute($input + ['foretold' => ['expected' => 2.6, 'sd' => 4]]);
        self::assertGreaterThan(6, $wide['reorder_point']);
        try {
            (new Reorder)->compute($input + ['foretold' => ['expected' => -1]]);
            self::fail('less than none cannot fail');
        } catch (InputError $e) {
            self::assertSame('foretold.expected', $e->field);
        }
    }
}
