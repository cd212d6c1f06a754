<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Plan\Chain;
use OddBench\Plan\ChainStep;
use OddBench\Plan\Earned;
use OddBench\Plan\JobAhead;
use OddBench\Plan\Watch;
use OddBench\Plan\WaysAhead;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\SmallKnowledge;
use Tests\Core\TradeKnowledge;

/** How a job may go on: every way with its minutes, and all of them together certain. */
final class WaysAheadTest extends TestCase
{
    public function test_who_stays_beside_something_has_that_time_in_hand(): void
    {
        $step = static fn (int $hands, int $alone, Watch $watch): ChainStep => new ChainStep('x', Station::Repair, $hands, $alone, $watch);

        self::assertSame([0, 0], WaysAhead::sums([]));
        self::assertSame([5, 60], WaysAhead::sums([$step(5, 60, Watch::Nobody)]));
        self::assertSame([5, 60], WaysAhead::sums([$step(5, 60, Watch::InTheShop)]));
        self::assertSame([65, 0], WaysAhead::sums([$step(5, 60, Watch::Beside)]));
        self::assertSame([72, 90], WaysAhead::sums([$step(5, 60, Watch::Beside), $step(7, 90, Watch::Nobody)]));
    }

    public function test_what_is_certain_is_one_way(): void
    {
        $job = self::job(['bed-wire-broken']);
        $ways = WaysAhead::certain(TradeKnowledge::read(), $job);

        self::assertSame([[1.0, ...WaysAhead::sums((new Chain(TradeKnowledge::read()))->of($job))]], $ways->ways);
        self::assertSame(['bed-wire-broken'], $ways->likeliest);
    }

    public function test_a_machine_nobody_knows_anything_of_goes_on_as_such_machines_mostly_do(): void
    {
        $faults = ['often' => SmallKnowledge::fault('often', 90, [], 10), 'seldom' => SmallKnowledge::fault('seldom', 10, [], 50)];
        $knowledge = SmallKnowledge::of([], $faults);
        $ways = WaysAhead::unknown($knowledge, Traits::of([]), self::job(...));

        self::assertSame([0.9, 0.1], array_column($ways->ways, 0));
        self::assertSame(40, $ways->ways[1][1] - $ways->ways[0][1], 'one takes forty minutes more');
        self::assertSame([], $ways->likeliest, 'nothing of it is said of this machine');
    }

    public function test_where_nothing_can_be_wrong_there_is_one_way_all_the_same(): void
    {
        $ways = WaysAhead::unknown(SmallKnowledge::of([], []), Traits::of([]), self::job(...))->ways;
        self::assertCount(1, $ways);
        self::assertSame(1.0, $ways[0][0]);
    }

    public function test_every_way_of_the_trade_adds_up_to_one_and_ends_at_the_door(): void
    {
        $knowledge = TradeKnowledge::read();
        foreach ([['hotend' => 'lined'], ['hotend' => 'all-metal', 'feeder' => 'multi'], []] as $traits) {
            $ways = WaysAhead::unknown($knowledge, Traits::of($traits), static fn (array $mend): JobAhead => self::job($mend, $traits));
            self::assertEqualsWithDelta(1.0, array_sum(array_column($ways->ways, 0)), 1e-9);
            foreach ($ways->ways as [$chance, $hands, $alone]) {
                self::assertGreaterThan(0.0, $chance);
                self::assertGreaterThanOrEqual(self::lastStep($knowledge), $hands);
                self::assertGreaterThanOrEqual(0, $alone);
            }
        }
    }

    private static function lastStep(Knowledge $knowledge): int
    {
        $steps = (new Chain($knowledge))->of(new JobAhead(Station::Release, Traits::of([])));
        self::assertSame(['Send out'], array_map(static fn (ChainStep $step): string => $step->what, $steps));

        return $steps[0]->hands;
    }

    /**
     * @param  list<string>  $mend
     * @param  array<string, string>  $traits
     */
    private static function job(array $mend, array $traits = []): JobAhead
    {
        return new JobAhead(Station::Repair, Traits::of($traits), new Earned, mend: $mend);
    }
}
