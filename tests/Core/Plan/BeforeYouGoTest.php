<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Plan\BeforeYouGo;
use OddBench\Plan\NightStep;
use PHPUnit\Framework\TestCase;

final class BeforeYouGoTest extends TestCase
{
    public function test_by_hand(): void
    {
        $dry = new NightStep('HR-230', 'Dry the nylon', 5, 360, place: 'oven');
        $long = new NightStep('HR-222', 'Long proof', 10, 180);
        $glue = new NightStep('HR-240', 'Glue', 12, 60);
        $names = static fn (array $steps): array => array_map(static fn (NightStep $step): string => $step->job, $steps);

        self::assertSame(['HR-230', 'HR-222', 'HR-240'], $names(BeforeYouGo::choose([$glue, $long, $dry], 27, 900)));
        self::assertSame(['HR-230', 'HR-222'], $names(BeforeYouGo::choose([$glue, $long, $dry], 26, 900)));
        self::assertSame(['HR-222'], $names(BeforeYouGo::choose([$long, $glue], 12, 900)), 'what is worth more goes first');
        self::assertSame([], $names(BeforeYouGo::choose([$long], 9, 900)));
        self::assertSame(['HR-230'], $names(BeforeYouGo::choose([$dry, new NightStep('HR-1', 'Dry', 1, 300, place: 'oven')], 60, 900)));
        self::assertCount(2, BeforeYouGo::choose([$dry, new NightStep('HR-1', 'Dry', 1, 300, place: 'oven')], 60, 900, ['oven' => 2]));
        // with a night of an hour only an hour is gained by either: the short one leaves hands for more
        self::assertSame(['HR-222', 'HR-240'], $names(BeforeYouGo::choose([$glue, $long], 22, 60)));
        self::assertSame([], BeforeYouGo::choose([$dry], 60, 0));
    }

    /** Every choice of up to eleven steps, one by one. */
    public function test_against_every_choice(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            mt_srand($seed);
            $steps = array_map(static fn (int $i): NightStep => new NightStep(
                "J{$i}",
                'x',
                mt_rand(0, 25),
                mt_rand(10, 500),
                (float) mt_rand(1, 3),
                mt_rand(0, 2) === 0 ? 'oven' : null,
            ), range(0, mt_rand(1, 10)));
            [$minutes, $night, $ovens] = [mt_rand(0, 70), mt_rand(30, 400), mt_rand(0, 2)];
            $best = 0.0;
            for ($choice = 0; $choice < 2 ** count($steps); $choice++) {
                $taken = array_filter($steps, static fn (int $i): bool => (bool) ($choice >> $i & 1), ARRAY_FILTER_USE_KEY);
                if ($this->fits($taken, $minutes, $ovens)) {
                    $best = max($best, $this->worth($taken, $night));
                }
            }
            $chosen = BeforeYouGo::choose($steps, $minutes, $night, ['oven' => $ovens]);

            self::assertTrue($this->fits($chosen, $minutes, $ovens));
            self::assertEqualsWithDelta($best, $this->worth($chosen, $night), 1e-9, "seed {$seed}");
        }
    }

    /** @param  array<int, NightStep>  $steps */
    private function fits(array $steps, int $minutes, int $ovens): bool
    {
        return array_sum(array_map(static fn (NightStep $step): int => $step->hands, $steps)) <= $minutes
            && count(array_filter($steps, static fn (NightStep $step): bool => $step->place !== null)) <= $ovens;
    }

    /** @param  array<int, NightStep>  $steps */
    private function worth(array $steps, int $night): float
    {
        return array_sum(array_map(static fn (NightStep $step): float => $step->weight * min($night, $step->alone), $steps));
    }
}
