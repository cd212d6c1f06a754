<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use OddBench\Knowledge\Finding;
use OddBench\Knowledge\State;
use OddBench\Practice\Bench;
use OddBench\Practice\BrokenMachine;
use OddBench\Practice\JobTest;
use OddBench\Practice\Listed;
use OddBench\Practice\SampledMachines;
use OddBench\Practice\Score;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Diagnosis\SmallKnowledge;
use Tests\Core\TradeKnowledge;
use Tests\Sample;

final class JobTestTest extends TestCase
{
    public function test_minutes_are_looks_with_the_way_into_their_state_and_mends_in_vain(): void
    {
        $findings = [];
        foreach (['dead', 'worn', 'cracked'] as $code) {
            $findings[$code] = new Finding($code, $code, 'Made up', 0.002, false, true, false, null);
        }
        $knowledge = SmallKnowledge::of($findings, [
            'a' => SmallKnowledge::fault('a', 200, ['dead' => 0.9], 7),
            'b' => SmallKnowledge::fault('b', 50, ['dead' => 0.9, 'worn' => 0.3], 30),
        ], ['look' => SmallKnowledge::check('look', ['worn'], State::Hot, 3)]);
        $machine = new BrokenMachine('m', [], ['b'], ['dead'], ['dead' => true]);

        $played = (new Bench($knowledge))->play($machine, new Listed($knowledge, ['look'], 0.99));

        // the look: 3 and 4 to heat; then a is mended in vain for 7; the 30 of the right mend count apart
        self::assertSame(
            [14.0, 30.0, ['look'], ['a'], true],
            [$played->minutes, $played->rightMinutes, $played->looks, $played->wrong, $played->settled],
        );
    }

    public function test_percentiles_are_by_the_nearest_rank(): void
    {
        $machine = new BrokenMachine('m', [], ['a'], [], []);
        $played = array_map(static fn (int $m) => new \OddBench\Practice\Played($machine, $m, 0, [], [], true), range(1, 20));
        $score = Score::of($played);

        self::assertSame([10.0, 18.0, 10.5], [$score->median, $score->ninetieth, $score->mean]);
    }

    public function test_the_same_seed_draws_the_same_machines_and_each_can_be_complained_of(): void
    {
        $draw = static fn (int $seed): array => (new SampledMachines(TradeKnowledge::read(), new Randomizer(new Mt19937($seed))))->draw(40);

        self::assertEquals($draw(1), $draw(1));
        self::assertNotEquals($draw(1), $draw(2));
        foreach ($draw(3) as $machine) {
            self::assertNotSame([], $machine->told);
            self::assertSame([], array_diff($machine->told, array_keys($machine->shows)));
        }
    }

    public function test_what_it_advises_beats_the_checklist_and_random_order_by_two_fifths(): void
    {
        $knowledge = TradeKnowledge::read();
        $practice = TradeKnowledge::files()->practice();
        // other machines than those the printed figures are made with
        // half of them, one or the other, where not everything is taken
        $machines = (new SampledMachines($knowledge, new Randomizer(new Mt19937(77))))->draw(80);
        $machines = Sample::part() === null ? $machines : array_chunk($machines, 40)[Sample::part() % 2];
        $test = new JobTest($knowledge, $practice->checklist);
        $scores = array_map(static fn ($way) => $test->play($machines, $way), $test->ways(new Randomizer(new Mt19937(77))));

        foreach (['measure first', 'swap first'] as $way) {
            // a few are handed to somebody else rather than mended on long shots
            self::assertGreaterThanOrEqual(0.875 * count($machines), $scores[$way]->settled);
            self::assertLessThan(0.6 * $scores['checklist']->median, $scores[$way]->median);
            self::assertLessThan(0.6 * $scores['random order']->median, $scores[$way]->median);
            self::assertLessThan($scores['checklist']->ninetieth, $scores[$way]->ninetieth);
            self::assertLessThan($scores['checklist, mends at better than even']->mean, $scores[$way]->mean);
        }
    }
}
