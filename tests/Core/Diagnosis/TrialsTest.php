<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Trials;
use OddBench\Diagnosis\TwoLevelDesign;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class TrialsTest extends TestCase
{
    public function test_the_pilot_plant_of_box_hunter_and_hunter(): void
    {
        // Box, Hunter and Hunter, Statistics for Experimenters, 2nd ed., table 5.2: yield of a pilot plant, 2³
        $yields = [60, 72, 54, 68, 52, 83, 45, 80];
        $plan = TwoLevelDesign::plan(['temperature' => [160.0, 180.0], 'concentration' => [20.0, 40.0], 'catalyst' => ['A', 'B']]);
        $result = $this->compute(array_map(static fn (array $settings, int $yield): array => ['settings' => $settings, 'rating' => $yield], $plan, $yields));

        self::assertEqualsWithDelta(['temperature' => 23.0, 'concentration' => -5.0, 'catalyst' => 1.5], $result['effects'], 1e-12);
        self::assertEqualsWithDelta(10.0, $result['interactions']['temperature × catalyst'], 1e-12);
        self::assertEqualsWithDelta(1.5, $result['interactions']['temperature × concentration'], 1e-12);
        self::assertEqualsWithDelta(0.0, $result['interactions']['concentration × catalyst'], 1e-12);
        self::assertEqualsWithDelta(0.5, $result['interactions']['temperature × concentration × catalyst'], 1e-12);
        self::assertSame(['temperature', 180.0, 6, 'ok'], [$result['matters'], $result['better'], $result['best_trial'], $result['verdict']]);
        self::assertSame([], $result['warnings'], 'a plan may change several at once');
        self::assertCount(12, $result['single_changes'], 'a cube has twelve edges');
        self::assertStringContainsString('work together', $result['because']);
    }

    public function test_a_main_effect_is_the_mean_of_its_single_changes_in_any_full_design(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($round = 0; $round < 20; $round++) {
            $levels = array_slice(['a' => [1.0, 2.0], 'b' => [5.0, 9.0], 'c' => ['soft', 'stiff'], 'd' => [0.1, 0.2]], 0, 2 + $round % 3);
            $trials = array_map(static fn (array $settings): array => ['settings' => $settings, 'rating' => $random->getInt(1, 50) / 10], TwoLevelDesign::plan($levels));
            $result = $this->compute($random->shuffleArray($trials));
            foreach ($levels as $setting => [$low]) {
                $ups = [];
                foreach ($result['single_changes'] as $change) {
                    if ($change['setting'] === $setting) {
                        $ups[] = $change['from'] === $low ? $change['change'] : -$change['change'];
                    }
                }
                $sign = $setting === 'c' ? self::sign($result['details']) : 1;
                self::assertEqualsWithDelta($sign * array_sum($ups) / count($ups), $result['effects'][$setting], 1e-9);
            }
        }
    }

    public function test_one_thing_at_a_time_names_the_setting_that_matters(): void
    {
        $result = $this->compute([
            ['settings' => ['speed' => 60, 'retraction' => 5], 'rating' => 2],
            ['settings' => ['speed' => 60, 'retraction' => 6], 'rating' => 2],
            ['settings' => ['speed' => 40, 'retraction' => 6], 'rating' => 4],
        ]);

        self::assertSame([[], ['retraction'], ['speed']], array_column($result['changes'], 'changed'));
        self::assertSame(['speed', 40.0], [$result['matters'], $result['better']]);
        self::assertSame(['speed' => -2.0, 'retraction' => 0.0], $result['effects']);
        self::assertSame('Speed matters: from 60 to 40 the rating rises by 2.', $result['because']);
    }

    public function test_two_changes_at_once_are_warned_of(): void
    {
        $result = $this->compute([
            ['settings' => ['speed' => 60, 'fan' => 100], 'rating' => 2],
            ['settings' => ['speed' => 40, 'fan' => 50], 'rating' => 5],
        ]);

        self::assertSame([2], array_column($result['warnings'], 'trial'));
        self::assertStringContainsString('Speed and fan changed at once', $result['warnings'][0]['message']);
        self::assertSame(['watch', null], [$result['verdict'], $result['matters']]);
    }

    public function test_a_difference_smaller_than_that_of_prints_set_alike_does_not_count(): void
    {
        $result = $this->compute([
            ['settings' => ['speed' => 60], 'rating' => 2],
            ['settings' => ['speed' => 60], 'rating' => 4],
            ['settings' => ['speed' => 40], 'rating' => 4],
        ]);

        self::assertSame(2.0, $result['repeat_spread']);
        self::assertSame(['out', null], [$result['verdict'], $result['matters']]);
    }

    public function test_half_a_design_says_what_it_cannot_tell_apart(): void
    {
        // 2^(3−1) with c = a·b: each main effect is aliased with the product of the other two
        $result = $this->compute([
            ['settings' => ['a' => 1, 'b' => 1, 'c' => 2], 'rating' => 3],
            ['settings' => ['a' => 2, 'b' => 1, 'c' => 1], 'rating' => 5],
            ['settings' => ['a' => 1, 'b' => 2, 'c' => 1], 'rating' => 2],
            ['settings' => ['a' => 2, 'b' => 2, 'c' => 2], 'rating' => 4],
        ]);

        self::assertEqualsWithDelta(['a' => 2.0, 'b' => -1.0, 'c' => 0.0], $result['effects'], 1e-12);
        self::assertContains('a × b is the same as c in these trials', $result['not_told_apart']);
    }

    public function test_bands_of_one_print_and_stopped_trials_are_named(): void
    {
        $result = $this->compute([
            ['settings' => ['nozzle' => 200], 'rating' => 2, 'band_mm' => [0, 10]],
            ['settings' => ['nozzle' => 210], 'rating' => 4, 'band_mm' => [10, 20], 'stopped' => true],
        ]);

        self::assertStringContainsString('the height changed as well', $result['warnings'][0]['message']);
        self::assertStringContainsString('1 of the trials was stopped early', $result['because']);
    }

    public function test_a_plan_is_every_combination(): void
    {
        $result = (new Trials)->compute(['plan' => ['speed' => [60, 40], 'fan' => [0, 100]]]);

        self::assertSame([
            ['speed' => 40.0, 'fan' => 0.0], ['speed' => 60.0, 'fan' => 0.0],
            ['speed' => 40.0, 'fan' => 100.0], ['speed' => 60.0, 'fan' => 100.0],
        ], $result['plan']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'none' => [['trials' => []], 'trials'];
        yield 'missing' => [[], 'trials'];
        yield 'no rating' => [['trials' => [['settings' => ['a' => 1]]]], 'trials.0.rating'];
        yield 'a rating in words' => [['trials' => [['settings' => ['a' => 1], 'rating' => 'good']]], 'trials.0.rating'];
        yield 'no settings' => [['trials' => [['settings' => [], 'rating' => 3]]], 'trials.0.settings'];
        yield 'a list as a setting' => [['trials' => [['settings' => ['a' => [1]], 'rating' => 3]]], 'trials.0.settings.a'];
        yield 'a band upside down' => [['trials' => [['settings' => ['a' => 1], 'rating' => 3, 'band_mm' => [9, 2]]]], 'trials.0.band_mm'];
        yield 'an unknown key' => [['trials' => [['settings' => ['a' => 1], 'rating' => 3, 'score' => 1]]], 'trials.0.score'];
        yield 'a plan of one value' => [['plan' => ['speed' => [60, 60]]], 'plan.speed'];
        yield 'a plan too large' => [['plan' => ['a' => [1, 2], 'b' => [1, 2], 'c' => [1, 2], 'd' => [1, 2], 'e' => [1, 2]]], 'plan'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(array $input, string $field): void
    {
        try {
            (new Trials)->compute($input);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $trials
     * @return array<string, mixed>
     */
    private function compute(array $trials): array
    {
        return (new Trials)->compute(['trials' => $trials]);
    }

    /** @param  list<array<string, mixed>>  $details  words stand as they came first in the shuffled trials */
    private static function sign(array $details): int
    {
        foreach ($details as $of) {
            if ($of['setting'] === 'c') {
                return $of['low'] === 'soft' ? 1 : -1;
            }
        }

        return 0;
    }
}
