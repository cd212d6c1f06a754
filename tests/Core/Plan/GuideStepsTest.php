<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Knowledge\Guide;
use OddBench\Knowledge\GuideStep;
use OddBench\Knowledge\Heat;
use OddBench\Plan\ChainStep;
use OddBench\Plan\Earned;
use OddBench\Plan\GuideSteps;
use OddBench\Plan\Watch;
use OddBench\Repair\LearningCurve;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Every guide there is, cut where its waiting is worth leaving for. */
final class GuideStepsTest extends TestCase
{
    private const ALL = [false, true, true, true, false, true];

    /** @return iterable<string, array{Guide}> */
    public static function guides(): iterable
    {
        foreach (TradeKnowledge::read()->guides as $guide) {
            yield $guide->code => [$guide];
        }
    }

    #[DataProvider('guides')]
    public function test_no_minute_is_lost_or_counted_twice(Guide $guide): void
    {
        foreach ([new Earned, new Earned(...self::ALL)] as $earned) {
            $steps = (new GuideSteps($guide, $earned))->of();
            $waits = array_sum(array_map(static fn (GuideStep $step): float => $step->timer->minutes ?? 0.0, self::way($guide)));
            $whole = array_sum(array_map(static fn (ChainStep $step): int => $step->hands + $step->alone, $steps));

            self::assertGreaterThanOrEqual($guide->practised + $waits - 1e-6, $whole);
            // each piece is rounded up
            self::assertLessThan($guide->practised + $waits + 2 * count($steps) + 1e-6, $whole);
            self::assertSame(0, $steps[count($steps) - 1]->alone, 'whoever does the last step stays for it');
        }
    }

    #[DataProvider('guides')]
    public function test_nobody_begins_something_else_for_less_than_eight_minutes(Guide $guide): void
    {
        $left = array_map(
            static fn (ChainStep $step): int => $step->alone,
            array_slice((new GuideSteps($guide, new Earned(...self::ALL)))->of(), 0, -1),
        );
        $worth = array_filter(
            array_slice(self::way($guide), 0, -1),
            static fn (GuideStep $step): bool => $step->timer !== null && $step->timer->minutes >= 8.0,
        );

        self::assertSame(
            array_values(array_map(static fn (GuideStep $step): int => (int) ceil($step->timer->minutes ?? 0.0), $worth)),
            array_values($left),
            'a machine that has earned all of it is left for every wait that is worth it, and for no other',
        );
    }

    public function test_what_is_hot_and_has_not_earned_it_is_never_left_alone(): void
    {
        $left = 0;
        foreach (TradeKnowledge::read()->guides as $guide) {
            foreach ((new GuideSteps($guide, new Earned))->of() as $step) {
                if ($step->alone === 0) {
                    continue;
                }
                $left++;
                $of = array_filter(
                    self::way($guide),
                    static fn (GuideStep $one): bool => $one->timer !== null && (int) ceil($one->timer->minutes) === $step->alone,
                );
                $cold = array_filter($of, static fn (GuideStep $one): bool => $one->heat === Heat::Cold && $one->timer?->oven !== true);
                self::assertNotSame([], $of, "{$step->what}: {$step->alone} min");
                self::assertNotSame(Watch::Beside, $step->watch, 'whoever stays beside it has no minutes alone');
                self::assertTrue($step->watch !== Watch::Nobody || $cold !== [], "{$step->what}: {$step->because}");
                self::assertSame($step->watch === Watch::Nobody, $step->because === '', 'who stays is told why');
            }
        }
        self::assertGreaterThan(5, $left);
    }

    #[DataProvider('guides')]
    public function test_its_pieces_have_its_name_and_the_first_of_them_its_part(Guide $guide): void
    {
        $steps = (new GuideSteps($guide, new Earned, rights: ['mains']))->of('fan');
        foreach ($steps as $i => $step) {
            self::assertSame($i === 0 ? $guide->name : "{$guide->name}, goes on", $step->what);
            self::assertSame($i === 0 ? 'fan' : null, $step->part);
            self::assertSame(['mains'], $step->rights);
        }
    }

    #[DataProvider('guides')]
    public function test_whoever_has_done_it_more_often_takes_no_longer(Guide $guide): void
    {
        $curve = LearningCurve::of($guide->first, $guide->practised);
        $hands = static fn (int $times): int => array_sum(array_map(
            static fn (ChainStep $step): int => $step->handsBy['Bo'],
            (new GuideSteps($guide, new Earned, ['Bo' => $curve], ['Bo' => $times]))->of(),
        ));

        self::assertGreaterThanOrEqual($hands(1), $hands(0));
        self::assertGreaterThanOrEqual($hands(20), $hands(1));
        self::assertGreaterThanOrEqual($guide->first, $hands(0), 'the first time takes as long as the guide says');
    }

    /** @return list<GuideStep> those of its first way */
    private static function way(Guide $guide): array
    {
        return array_values($guide->stepsOf($guide->schools()[0] ?? null));
    }
}
