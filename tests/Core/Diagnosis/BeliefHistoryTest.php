<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\BeliefHistory;
use OddBench\Diagnosis\Beliefs;
use OddBench\Diagnosis\LikelyFindings;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Rates;
use OddBench\Knowledge\Traits;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

final class BeliefHistoryTest extends TestCase
{
    public function test_each_move_is_what_was_believed_with_what_was_known_then(): void
    {
        $made = new RandomNetwork(5);
        $network = $made->make(7, 8);
        $history = BeliefHistory::of($network, [
            ['code' => 'finding-01', 'present' => true, 'withdrawn' => false],
            ['code' => 'finding-04', 'present' => false, 'withdrawn' => false],
            ['code' => 'finding-01', 'present' => true, 'withdrawn' => true],
            ['code' => 'finding-06', 'present' => true, 'withdrawn' => false],
        ]);

        $known = [
            [],
            ['finding-01' => true],
            ['finding-01' => true, 'finding-04' => false],
            ['finding-04' => false],
            ['finding-04' => false, 'finding-06' => true],
        ];
        self::assertCount(5, $history->moves);
        foreach ($known as $i => $findings) {
            self::assertEqualsWithDelta(BruteForce::posterior($network, $findings)[1], $history->moves[$i]->faults, 1e-9);
        }
    }

    public function test_a_fault_that_stood_first_once_keeps_its_line(): void
    {
        $knowledge = TradeKnowledge::read();
        $network = Network::forMachine($knowledge, Traits::of($knowledge->families['tern-220']->traits), Rates::catalogue());
        $index = array_flip($network->faults);
        $history = BeliefHistory::of($network, [
            ['code' => 'reads-impossible', 'present' => true, 'withdrawn' => false],
            ['code' => 'error-thermistor', 'present' => true, 'withdrawn' => false],
            ['code' => 'thermistor-open', 'present' => false, 'withdrawn' => false],
            ['code' => 'socket-loose', 'present' => true, 'withdrawn' => false],
        ]);
        $lines = $history->lines([$index['thermistor-failed'], $index['board-socket-lifted'], $index['thermistor-wire-broken']], 1);

        self::assertSame($index['board-socket-lifted'], $lines[0]);
        self::assertContains($index['thermistor-failed'], $lines);
    }

    public function test_what_goes_with_what_is_known_is_offered_first_and_never_what_is_known(): void
    {
        $knowledge = TradeKnowledge::read();
        $traits = Traits::of($knowledge->families['tern-220']->traits);
        $network = Network::forMachine($knowledge, $traits, Rates::catalogue());
        $offered = LikelyFindings::of($knowledge, $traits, Beliefs::of($network, ['belt-loose' => true, 'crept-in' => true]), 9);

        self::assertCount(9, $offered);
        self::assertSame('belt-out-of-band', $offered[0]);
        self::assertSame([], array_intersect($offered, ['belt-loose', 'crept-in']));
        self::assertNotContains(
            'slot-alarm',
            LikelyFindings::of($knowledge, $traits, Beliefs::of($network, []), 200),
            'there is no feeder to alarm',
        );
    }
}
