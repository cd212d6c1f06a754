<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Knowledge\Heat;
use OddBench\Knowledge\Stage;
use OddBench\Plan\Earned;
use OddBench\Plan\Watch;
use PHPUnit\Framework\TestCase;

/** Nothing hot runs unattended that has not earned it. */
final class EarnedTest extends TestCase
{
    /** Every machine there can be: it is left alone only with all of it, and each thing that is missing is enough to stay. */
    public function test_only_what_has_earned_all_of_it_is_left_alone(): void
    {
        $alone = 0;
        for ($bits = 0; $bits < 64; $bits++) {
            $has = array_map(static fn (int $bit): bool => (bool) ($bits >> $bit & 1), range(0, 5));
            [$watch] = (new Earned(...$has))->proving(Stage::Long);
            [$redTag, $stops, $holds, $printed, $mainsBed, $nights] = $has;
            $earned = ! $redTag && $stops && $holds && $printed && ! $mainsBed && $nights;
            self::assertSame($earned, $watch === Watch::Nobody, (string) json_encode($has));
            self::assertSame($redTag || (! $stops && ! $holds), $watch === Watch::Beside, (string) json_encode($has));
            $alone += $watch === Watch::Nobody ? 1 : 0;
        }
        self::assertSame(1, $alone);
    }

    public function test_heating_for_the_first_time_is_never_left(): void
    {
        $all = new Earned(false, true, true, true, false, true);
        foreach ([Stage::Power, Stage::Motion, Stage::Heat, Stage::Runaway] as $stage) {
            self::assertSame(Watch::Beside, $all->proving($stage)[0]);
        }
        self::assertSame(Watch::Nobody, (new Earned)->proving(Stage::Cold)[0]);
        self::assertStringContainsString('red tag', (new Earned(redTag: true))->hot()[1]);
    }

    public function test_it_earns_step_by_step(): void
    {
        $new = new Earned(redTag: true, nights: true);
        self::assertSame(Watch::Beside, $new->proving(Stage::Print)[0]);
        $untagged = $new->withoutRedTag();
        self::assertSame(Watch::Beside, $untagged->proving(Stage::Print)[0]);
        $held = $untagged->after(Stage::Heat);
        self::assertSame(Watch::InTheShop, $held->proving(Stage::Print)[0]);
        self::assertSame(Watch::InTheShop, $held->after(Stage::Runaway)->proving(Stage::Print)[0]);
        self::assertSame(Watch::Nobody, $held->after(Stage::Runaway)->after(Stage::Print)->proving(Stage::Long)[0]);
        self::assertSame(Watch::InTheShop, $held->after(Stage::Print)->proving(Stage::Long)[0], 'never without its runaway test');
    }

    public function test_what_is_waited_for_is_watched_by_its_heat_and_what_nobody_has_said_is_not_taken_for_cold(): void
    {
        $all = new Earned(false, true, true, true, false, true);
        foreach ([$all, new Earned] as $earned) {
            self::assertSame([Watch::Nobody, ''], $earned->waiting(Heat::Cold, false));
            self::assertSame([Watch::InTheShop, 'Nobody has said whether it is hot.'], $earned->waiting(null, false));
            self::assertSame(Watch::InTheShop, $earned->waiting(Heat::Falling, false)[0]);
            self::assertSame($earned->hot(), $earned->waiting(Heat::Hot, false));
            self::assertSame($earned->oven(), $earned->waiting(Heat::Cold, true), 'the machine is cold, the oven is not');
        }
    }

    public function test_of_two_watches_the_one_that_asks_for_more_counts(): void
    {
        foreach (Watch::cases() as $i => $one) {
            foreach (Watch::cases() as $k => $other) {
                self::assertSame(Watch::cases()[max($i, $k)], $one->orMore($other));
            }
        }
    }

    public function test_the_shop_says_whether_its_dryer_runs_at_night(): void
    {
        self::assertSame(Watch::InTheShop, (new Earned)->oven()[0]);
        self::assertSame(Watch::Nobody, (new Earned(nights: true))->oven()[0]);
    }
}
