<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Plan\ListSchedule;
use OddBench\Plan\PlanJob;
use OddBench\Plan\Planned;
use OddBench\Plan\Planner;
use OddBench\Plan\Steady;
use OddBench\Plan\Step;
use OddBench\Plan\Timetable;
use OddBench\Plan\Worker;
use PHPUnit\Framework\TestCase;

/** People turn round for a better plan, not for another one. */
final class SteadyTest extends TestCase
{
    public function test_an_order_that_is_as_good_stays(): void
    {
        $found = self::plan([10, 10, 10]);
        $other = self::inOrder($found, [2, 1, 0]);
        self::assertNotSame(self::starts($found->timetable), self::starts($other));
        $kept = Steady::choose($found, $other);

        self::assertSame($other, $kept->timetable);
        self::assertTrue($kept->proved, 'it is as good as the best');
        self::assertSame([$found->bound, $found->completionBound, 0.0], [$kept->bound, $kept->completionBound, $kept->gap()]);
    }

    public function test_two_in_a_hundred_are_not_worth_it_and_three_are(): void
    {
        // 100 and 105 minutes the wrong way round: 310 for 305
        $found = self::plan([100, 105]);
        $kept = Steady::choose($found, self::inOrder($found, [1, 0]));
        self::assertSame(310, $kept->timetable->score->completion);
        self::assertFalse($kept->proved, 'there is a better one');
        self::assertEqualsWithDelta(5 / 310, $kept->gap(), 1e-9);
        // 100 and 110: 320 for 310
        $found = self::plan([100, 110]);
        self::assertSame($found, Steady::choose($found, self::inOrder($found, [1, 0])));
    }

    public function test_a_promise_is_always_worth_it(): void
    {
        $found = self::plan([100, 101], [null, 101]);
        self::assertSame(0.0, $found->timetable->score->lateness);
        self::assertSame($found, Steady::choose($found, self::inOrder($found, [0, 1])), 'the second would be late');
    }

    public function test_what_finds_no_time_in_one_of_them_decides(): void
    {
        $found = self::plan([100, 60], [null, null], 150);
        $other = self::inOrder($found, [0, 1]);
        self::assertNotSame($other->left, $found->timetable->left);
        self::assertSame($found, Steady::choose($found, $other));
    }

    /**
     * @param  list<int>  $hands  minutes of jobs of one step
     * @param  list<int|null>  $due
     */
    private static function plan(array $hands, array $due = [], int $until = 1000): Planned
    {
        $jobs = array_map(
            static fn (int $minutes, int $i): PlanJob => new PlanJob("j{$i}", $due[$i] ?? null, 1.0, [new Step($minutes)]),
            $hands,
            array_keys($hands),
        );

        return (new Planner)->plan([new Worker('one', [[0, $until]], [])], $jobs, []);
    }

    /** @param  list<int>  $order */
    private static function inOrder(Planned $plan, array $order): Timetable
    {
        return (new ListSchedule($plan->problem))->of($order);
    }

    /** @return list<int> by job */
    private static function starts(Timetable $table): array
    {
        $starts = [];
        foreach ($table->placed as $one) {
            $starts[$one->job] = $one->start;
        }
        ksort($starts);

        return array_values($starts);
    }
}
