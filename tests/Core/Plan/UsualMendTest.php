<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Intake\Station;
use OddBench\Knowledge\State;
use OddBench\Knowledge\Traits;
use OddBench\Plan\Chain;
use OddBench\Plan\ChainStep;
use OddBench\Plan\JobAhead;
use OddBench\Plan\UsualMend;
use OddBench\Plan\WaysAhead;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\SmallKnowledge;
use Tests\Core\TradeKnowledge;

/** A machine nobody knows anything of takes what such machines mostly take, not nothing. */
final class UsualMendTest extends TestCase
{
    public function test_the_mean_goes_by_how_often_each_fault_comes(): void
    {
        $faults = ['often' => SmallKnowledge::fault('often', 90, [], 10), 'seldom' => SmallKnowledge::fault('seldom', 10, [], 50)];
        $knowledge = SmallKnowledge::of([], $faults);
        $usual = UsualMend::of($knowledge, Traits::of([]));

        self::assertSame(['often' => 0.9, 'seldom' => 0.1], $usual->shares);
        self::assertSame('often', $usual->mostFrequent());
        // 0.9 × 10 + 0.1 × 50, and the way into the machine
        self::assertEqualsWithDelta(14.0 + $knowledge->bench->minutesToReach(State::Open), $usual->minutes(), 1e-9);
        self::assertSame([], UsualMend::of(SmallKnowledge::of([], []), Traits::of([]))->shares);
        self::assertNull(UsualMend::of(SmallKnowledge::of([], []), Traits::of([]))->mostFrequent());
    }

    public function test_what_a_machine_cannot_have_is_not_expected_of_it(): void
    {
        $knowledge = TradeKnowledge::read();
        $multi = UsualMend::of($knowledge, Traits::of(['feeder' => 'multi']))->shares;
        $single = UsualMend::of($knowledge, Traits::of(['feeder' => 'none']))->shares;

        self::assertArrayHasKey('feeder-tube-jam', $multi);
        self::assertArrayNotHasKey('feeder-tube-jam', $single);
        self::assertEqualsWithDelta(1.0, array_sum($single), 1e-9);
    }

    public function test_its_chain_looks_mends_and_proves(): void
    {
        $chain = new Chain(TradeKnowledge::read());
        $job = static fn (bool $unknown): JobAhead => new JobAhead(
            Station::Safety,
            Traits::of(['hotend' => 'lined']),
            search: 30,
            unknown: $unknown,
        );
        $what = array_map(static fn (ChainStep $step): string => $step->what, $chain->of($job(true)));

        self::assertSame(['Safety questions', 'Say what it does', 'Go on looking', 'Mend what is found'], array_slice($what, 0, 4));
        self::assertStringStartsWith('Prove: ', $what[4]);
        self::assertNotContains(
            'Mend what is found',
            array_map(static fn (ChainStep $step): string => $step->what, $chain->of($job(false))),
        );
    }

    public function test_as_a_mixture_it_holds_every_fault_by_its_share(): void
    {
        $knowledge = TradeKnowledge::read();
        $traits = Traits::of(['hotend' => 'lined']);
        $ways = WaysAhead::unknown(
            $knowledge,
            $traits,
            static fn (array $mend): JobAhead => new JobAhead(Station::Safety, $traits, mend: $mend),
        );

        self::assertCount(count(UsualMend::of($knowledge, $traits)->shares), $ways->ways);
        self::assertEqualsWithDelta(1.0, array_sum(array_column($ways->ways, 0)), 1e-9);
        self::assertSame([], $ways->likeliest, 'nobody knows which');
        self::assertGreaterThan(min(array_column($ways->ways, 1)), max(array_column($ways->ways, 1)));
    }
}
