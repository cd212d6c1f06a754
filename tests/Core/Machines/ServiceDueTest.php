<?php

declare(strict_types=1);

namespace Tests\Core\Machines;

use OddBench\Knowledge\ServiceItem;
use OddBench\Knowledge\Traits;
use OddBench\Machines\Faces;
use OddBench\Machines\ServiceDue;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** What comes round by hours or by the calendar, whichever is first; faces of a rail that have run. */
final class ServiceDueTest extends TestCase
{
    public function test_whichever_is_first(): void
    {
        $item = new ServiceItem('grease', 'Grease', [], null, 500, 6, 15);

        $hours = ServiceDue::of($item, 520, 30);
        self::assertTrue($hours->due());
        self::assertSame('20 h over', $hours->words());
        self::assertEqualsWithDelta(1.04, $hours->share, 1e-12);

        $months = ServiceDue::of($item, 100, 200);
        self::assertTrue($months->due(), '200 days are more than six months');
        self::assertSame('17 days over', $months->words());

        $neither = ServiceDue::of($item, 400, 60);
        self::assertFalse($neither->due());
        self::assertFalse($neither->soon());
        self::assertSame('in 100 h', $neither->words(), 'hours are nearer than months');
        self::assertTrue(ServiceDue::of($item, 450, 0)->soon(), 'nine tenths of the way');
    }

    public function test_estimated_hours_are_about_and_come_with_their_days(): void
    {
        $item = new ServiceItem('grease', 'Grease', [], null, 500, null, 15);
        // noted at 1200 h, 1687.1 h by now, 62 h a week: 12.9 h, which is a day and a half
        self::assertSame('in about 13 h, 1.5 days', ServiceDue::of($item, 487.1, 55, true, 62.0)->words());
        self::assertSame('in about 62 h, 7 days', ServiceDue::of($item, 438, 55, true, 62.0)->words());
        self::assertSame('in about 8 h, 1 day', ServiceDue::of($item, 492, 55, true, 62.0)->words());
        self::assertSame('in about 100 h, 14 days', ServiceDue::of($item, 400, 55, true, 50.0)->words());
        self::assertSame('about 20 h over', ServiceDue::of($item, 520, 55, true, 62.0)->words());
        self::assertSame('in about 100 h', ServiceDue::of($item, 400, 55, true, 0.0)->words());
    }

    public function test_by_hours_alone_or_months_alone(): void
    {
        $liner = new ServiceItem('liner', 'Liner', [], null, 900, null, 25);
        self::assertSame('in 850 h', ServiceDue::of($liner, 50, 9999)->words());
        self::assertFalse(ServiceDue::of($liner, 50, 9999)->due());

        $yearly = new ServiceItem('runaway', 'Runaway', [], null, null, 12, 15);
        self::assertSame('in 11 months', ServiceDue::of($yearly, 99999, 30)->words());
        self::assertSame('2 months over', ServiceDue::of($yearly, null, 12 * 30.44 + 61)->words());
    }

    public function test_hours_nobody_knows_make_nothing_due_by_hours(): void
    {
        $liner = new ServiceItem('liner', 'Liner', [], null, 900, null, 25);
        $due = ServiceDue::of($liner, null, 10);

        self::assertFalse($due->due());
        self::assertSame('not known', $due->words());
    }

    public function test_what_was_never_noted_says_so(): void
    {
        $item = new ServiceItem('grease', 'Grease', [], null, 500, 6, 15);
        self::assertSame('never noted here', ServiceDue::of($item, 5000, 300, false)->words());
        self::assertSame('in 400 h', ServiceDue::of($item, 100, 3, false)->words());
    }

    public function test_the_catalogue_fits_the_machines(): void
    {
        $knowledge = TradeKnowledge::read();
        $for = static fn (string $item, string $family): bool => Traits::of($knowledge->families[$family]->traits)->allow($knowledge->service[$item]->needs);

        self::assertTrue($for('wheels-check', 'tern-220'));
        self::assertFalse($for('wheels-check', 'heron-cx'), 'rods have no wheels');
        self::assertTrue($for('liner-change', 'tern-220'));
        self::assertFalse($for('liner-change', 'bittern-ht'), 'an all-metal hot end has no liner');
        foreach ($knowledge->service as $item) {
            self::assertNotNull($item->guide, $item->code);
        }
    }

    public function test_a_family_may_have_its_own_rhythm(): void
    {
        $knowledge = TradeKnowledge::read();
        $hours = static fn (string $family): array => array_map(
            static fn (ServiceItem $i): ?float => $i->everyHours,
            array_column($knowledge->serviceOf($family), null, 'code'),
        );

        self::assertSame(300.0, $hours('bittern-ht')['grease'], 'a heated chamber dries grease');
        self::assertSame(500.0, $hours('heron-cx')['grease']);
        self::assertArrayNotHasKey('grease', $hours('tern-220'), 'wheels stay dry');
    }

    public function test_faces_are_used_up_one_after_the_other(): void
    {
        $new = new Faces(2, []);
        self::assertSame([1, [1], 2, 1], [$new->running(), $new->used(), $new->next(), $new->left()]);

        $turned = new Faces(2, [2]);
        self::assertSame([2, [1, 2], null, 0], [$turned->running(), $turned->used(), $turned->next(), $turned->left()]);

        $four = new Faces(4, [3]);
        self::assertSame([3, 2, 2], [$four->running(), $four->next(), $four->left()], 'face 2 and 4 are fresh');
        self::assertNull((new Faces(1, []))->next(), 'a rod has nothing to turn');
    }
}
