<?php

declare(strict_types=1);

namespace Tests\Core\Release;

use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Intake\Walk;
use OddBench\Release\Destination;
use OddBench\Release\Gate;
use OddBench\Safety\TagOff;
use PHPUnit\Framework\TestCase;

/** The rules of the stations, of the red tag and of the way out. */
final class GateTest extends TestCase
{
    public function test_a_tagged_machine_never_runs_again_but_may_be_taken_apart(): void
    {
        $gate = new Gate(true, [], [], true, true);
        foreach (Destination::cases() as $to) {
            $may = $gate->reasonsAgainst($to, false, true) === [];
            self::assertSame(in_array($to, [Destination::Donor, Destination::Scrap], true), $may, $to->value);
        }
        self::assertSame([], $gate->reasonsAgainst(Destination::Unmended, true, true), 'with the danger in writing');
    }

    public function test_every_reason_is_said_at_once(): void
    {
        $reasons = (new Gate(
            true,
            ['Home all axes', 'A small print'],
            ['Belt slack'],
            false,
            false,
        ))->reasonsAgainst(Destination::Owner, false, false);

        self::assertCount(5, $reasons);
        self::assertStringContainsString('Home all axes', implode(' ', $reasons));
        self::assertStringContainsString('Belt slack', implode(' ', $reasons));
    }

    public function test_all_proved_but_not_at_send_out_waits(): void
    {
        self::assertSame(
            ['The job does not stand at Send out yet.'],
            (new Gate(false, [], [], true, false))->reasonsAgainst(Destination::Owner, false, false),
        );
        self::assertSame([], (new Gate(false, [], [], true, true))->reasonsAgainst(Destination::Owner, false, false));
    }

    public function test_a_job_leaves_a_station_only_with_what_it_must_have(): void
    {
        $fresh = new Walk(false, false, 0, false, true, []);
        self::assertSame(['The safety questions are not all answered.'], $fresh->obstacles(Station::Safety, Station::Diagnosis));

        $safe = new Walk(true, false, 0, false, true, []);
        self::assertSame([], $safe->obstacles(Station::Safety, Station::Diagnosis));
        self::assertSame(
            ['No fault is confirmed. Confirm one, or pass Find with its reason.'],
            $safe->obstacles(Station::Diagnosis, Station::Repair),
        );
        self::assertSame(
            [],
            (new Walk(true, false, 0, true, true, []))->obstacles(Station::Diagnosis, Station::Repair),
            'passed with its reason',
        );

        $tagged = new Walk(true, true, 1, false, true, []);
        self::assertSame([], $tagged->obstacles(Station::Safety, Station::Diagnosis), 'cold looks stay open');
        self::assertStringContainsString('red tag', implode(' ', $tagged->obstacles(Station::Repair, Station::Proof)));

        $owing = new Walk(true, false, 1, false, true, ['Home all axes']);
        self::assertStringContainsString('Home all axes', implode(' ', $owing->obstacles(Station::Proof, Station::Release)));
        self::assertSame([], $owing->obstacles(Station::Proof, Station::Diagnosis), 'back is always open');
    }

    public function test_no_station_is_jumped_over(): void
    {
        $unsafe = new Walk(false, false, 1, false, true, []);

        self::assertNotSame([], $unsafe->obstacles(Station::Safety, Station::Release));
    }

    public function test_a_tag_comes_off_with_a_cause_a_figure_and_a_second_person(): void
    {
        self::assertSame('0.2 Ω', TagOff::asked('plug renewed', ' 0.2 Ω ')->measurement);
        TagOff::mayCountersign(true, false);
        foreach ([
            fn () => TagOff::asked('', '0.2 Ω'),
            fn () => TagOff::asked('plug renewed', 'fine'),
            fn () => TagOff::mayCountersign(false, false),
            fn () => TagOff::mayCountersign(true, true),
        ] as $i => $wrong) {
            try {
                $wrong();
                self::fail("case {$i} was taken");
            } catch (InputError $e) {
                self::assertContains($e->field, ['cause', 'measurement', 'signature']);
            }
        }
    }

    public function test_a_machine_goes_only_where_its_holder_allows(): void
    {
        self::assertNotContains(Destination::Sale, Destination::forMachineHeldAs('owner'));
        self::assertNotContains(Destination::Owner, Destination::forMachineHeldAs('farm'));
        self::assertSame(Destination::Sale, Destination::forMachineHeldAs('resale')[0]);
    }

    public function test_unmended_under_a_red_tag_takes_the_danger_in_writing_and_a_lead(): void
    {
        $gate = new Gate(true, [], [], true, false);
        self::assertCount(2, $gate->reasonsAgainst(Destination::Unmended, false, false));
        self::assertStringContainsString('a lead signs', $gate->reasonsAgainst(Destination::Unmended, true, false)[0]);
        self::assertStringContainsString('write down the danger', $gate->reasonsAgainst(Destination::Unmended, false, true)[0]);
        self::assertSame([], (new Gate(false, [], [], true, false))->reasonsAgainst(Destination::Unmended, false, false), 'without a tag');
    }

    public function test_what_came_along_holds_it_back_wherever_it_goes_on_but_not_from_being_taken_apart(): void
    {
        $gate = new Gate(false, [], [], true, true, ['Mains cord in, not out.']);
        foreach (Destination::cases() as $to) {
            $stays = $to->runsAgain() || $to === Destination::Unmended;
            self::assertSame($stays ? ['Mains cord in, not out.'] : [], $gate->reasonsAgainst($to, true, true), $to->value);
        }
        $tagged = new Gate(true, [], [], true, false, ['Mains cord in, not out.']);
        self::assertCount(3, $tagged->reasonsAgainst(Destination::Unmended, false, false), 'all the reasons at once');
    }
}
