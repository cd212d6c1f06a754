<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use OddBench\Knowledge\Finding;
use OddBench\Knowledge\State;
use OddBench\Practice\Advised;
use OddBench\Practice\BestPolicy;
use OddBench\Practice\BrokenMachine;
use OddBench\Practice\JobTest;
use OddBench\Practice\Move;
use OddBench\Practice\RandomTrade;
use OddBench\Practice\Way;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Diagnosis\SmallKnowledge;

final class BestPolicyTest extends TestCase
{
    public function test_a_trade_small_enough_for_a_pencil(): void
    {
        // one fault a, rate 0.1, always complained of (leak 0.02), mend 10 min: P(a | complaint) = 0.1·0.902/(0.1·0.902 + 0.9·0.02)
        // = 0.83364; mend first: in vain in 0.16636 of the cases, then handed over for 60: 0.16636 · 70 = 11.645;
        // handing over at once costs 60, the look (2 min, cold) tells with 0.65: 2 min and then no better
        $finding = static fn (string $code): Finding => new Finding($code, $code, 'Made up', 0.02, false, true, false, null);
        $knowledge = SmallKnowledge::of(
            ['complaint' => $finding('complaint'), 'seen' => $finding('seen')],
            ['a' => SmallKnowledge::fault('a', 100, ['complaint' => 0.9, 'seen' => 0.65], 10)],
            ['look' => SmallKnowledge::check('look', ['seen'], State::Cold, 2)],
        );
        $policy = new BestPolicy($knowledge);

        self::assertEqualsWithDelta(0.16636 * 70, $policy->best(), 0.005);
        self::assertEqualsWithDelta(60.0, $policy->of(self::always(Move::handOver())), 1e-9);
        self::assertEqualsWithDelta($policy->best(), $policy->of(self::mendThenHandOver()), 1e-9);
    }

    public function test_no_way_of_working_beats_the_best_and_ours_stays_within_fifteen_in_a_hundred(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($i = 0; $i < 15; $i++) {
            $trade = RandomTrade::make($random);
            $policy = new BestPolicy($trade);
            self::assertGreaterThanOrEqual($policy->best() - 1e-9, $policy->of(new Advised($trade, 'measure-first')));
        }
        $means = JobTest::againstTheBest(new Randomizer(new Mt19937(300)), 120);

        self::assertLessThanOrEqual(1.15, $means['ours'] / $means['best']);
    }

    private static function always(Move $move): Way
    {
        return new class($move) implements Way
        {
            public function __construct(private readonly Move $move)
            {
            }

            public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move
            {
                return $this->move;
            }
        };
    }

    private static function mendThenHandOver(): Way
    {
        return new class implements Way
        {
            public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move
            {
                return $ruledOut === [] ? Move::mend('a') : Move::handOver();
            }
        };
    }
}
