<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Trial;
use OddBench\Diagnosis\TrialNoise;
use OddBench\Diagnosis\Trials;
use OddBench\Diagnosis\TwoLevelDesign;
use OddBench\Input\InputError;
use OddBench\Rig\Pluck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Sample;

final class TrialsTest extends TestCase
{
    public function test_the_pilot_plant_of_box_hunter_and_hunter(): void
    {
        // Box, Hunter and Hunter, Statistics for Experimenters, 2nd ed., table 5.2: yield of a pilot plant, 2³
        $yields = [60, 72, 54, 68, 52, 83, 45, 80];
        $plan = TwoLevelDesign::plan(['temperature' => [160.0, 180.0], 'concentration' => [20.0, 40.0], 'catalyst' => ['A', 'B']]);
        $result = $this->compute(array_map(
            static fn (array $settings, int $yield): array => ['settings' => $settings, 'rating' => $yield],
            $plan,
            $yields,
        ));

        self::assertEqualsWithDelta(['temperature' => 23.0, 'concentration' => -5.0, 'catalyst' => 1.5], $result['effects'], 1e-12);
        self::assertEqualsWithDelta(10.0, $result['interactions']['temperature × catalyst'], 1e-12);
        self::assertEqualsWithDelta(1.5, $result['interactions']['temperature × concentration'], 1e-12);
        self::assertEqualsWithDelta(0.0, $result['interactions']['concentration × catalyst'], 1e-12);
        self::assertEqualsWithDelta(0.5, $result['interactions']['temperature × concentration × catalyst'], 1e-12);
        self::assertSame(
            ['temperature', 180.0, 6, 'ok'],
            [$result['matters'], $result['better'], $result['best_trial'], $result['verdict']],
        );
        self::assertSame([], $result['warnings'], 'a plan may change several at once');
        self::assertCount(12, $result['single_changes'], 'a cube has twelve edges');
        self::assertStringContainsString('work together', $result['because']);
    }

    public function test_a_main_effect_is_the_mean_of_its_single_changes_in_any_full_design(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($round = 0; $round < 20; $round++) {
            $levels = array_slice(['a' => [1.0, 2.0], 'b' => [5.0, 9.0], 'c' => ['soft', 'stiff'], 'd' => [0.1, 0.2]], 0, 2 + $round % 3);
            $trials = array_map(
                static fn (array $settings): array => ['settings' => $settings, 'rating' => $random->getInt(1, 50) / 10],
                TwoLevelDesign::plan($levels),
            );
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
        self::assertSame(['speed' => -2.0, 'retraction' => 0.0], $result['effects']);
        self::assertSame(['watch', null, null], [$result['verdict'], $result['matters'], $result['better']], 'one print against one');
        self::assertSame(
            'Speed from 60 to 40 was better by 2, once. That may be chance: print both again before believing it.',
            $result['because'],
        );
        $again = $this->compute([
            ['settings' => ['speed' => 60], 'rating' => 2],
            ['settings' => ['speed' => 40], 'rating' => 5],
            ['settings' => ['speed' => 60], 'rating' => 2],
            ['settings' => ['speed' => 40], 'rating' => 5],
        ]);
        self::assertSame(['ok', 'speed', 40.0], [$again['verdict'], $again['matters'], $again['better']]);
        self::assertSame('Speed matters: from 60 to 40 the rating rises by 3.', $again['because']);
    }

    public function test_repeated_trials_by_students_t(): void
    {
        // 3.0, 3.4 and 4.1, 4.5: difference 1.1, s² = (0.08 + 0.08)/2 with 2 degrees, error 0.2828 · √(½ + ½); R: qt(.975, 2) =
        // 4.302653, limit 1.2170
        $trials = static fn (float $more): array => [
            ['settings' => ['fan' => 0], 'rating' => 3.0], ['settings' => ['fan' => 0], 'rating' => 3.4],
            ['settings' => ['fan' => 50], 'rating' => 4.1 + $more], ['settings' => ['fan' => 50], 'rating' => 4.5 + $more],
        ];

        self::assertSame(['out', null], [$this->compute($trials(0.0))['verdict'], $this->compute($trials(0.0))['matters']]);
        self::assertNull($this->compute($trials(0.116))['matters']);
        self::assertSame('fan', $this->compute($trials(0.118))['matters']);
    }

    public function test_an_unrepeated_plan_by_lenths_error(): void
    {
        // Box, Hunter and Hunter's pilot plant: contrasts 23, 10, 5, 1.5, 1.5, 0.5, 0; s0 = 1.5 · 1.5, those below 5.625 have the
        // median 1.5:
        // PSE 2.25; seven contrasts, t(7/3) at (1 + 0.95^(1/7))/2 is 9.008 (Lenth 1989, table): 20.27
        $noise = TrialNoise::of($this->pilotPlant(), TwoLevelDesign::of($this->pilotPlant()));

        self::assertEqualsWithDelta(9.008 * 2.25, $noise?->limit(4, 4, 3), 0.01);
        self::assertEqualsWithDelta(3.764 * 2.25, $noise->alone(4, 4), 0.005);
    }

    /**
     * @return iterable<string, array{list<array<string, float|string>>, int, bool}> plan, how often each is printed, ratings in
     *   whole steps of 1 to 5
     */
    public static function tables(): iterable
    {
        $two = TwoLevelDesign::plan(['a' => [1.0, 2.0], 'b' => [1.0, 2.0]]);
        $three = TwoLevelDesign::plan(['a' => [1.0, 2.0], 'b' => [1.0, 2.0], 'c' => [1.0, 2.0]]);
        $four = TwoLevelDesign::plan(['a' => [1.0, 2.0], 'b' => [1.0, 2.0], 'c' => [1.0, 2.0], 'd' => [1.0, 2.0]]);
        $single = [['a' => 1.0, 'b' => 1.0], ['a' => 2.0, 'b' => 1.0], ['a' => 2.0, 'b' => 2.0]];
        foreach ([false, true] as $whole) {
            $of = $whole ? ', rated 1 to 5' : '';
            yield "four prints{$of}" => [$two, 1, $whole];
            yield "eight prints{$of}" => [$three, 1, $whole];
            yield "sixteen prints{$of}" => [$four, 1, $whole];
            yield "four prints twice{$of}" => [$two, 2, $whole];
            yield "eight prints twice{$of}" => [$three, 2, $whole];
            yield "one thing at a time{$of}" => [$single, 1, $whole];
            yield "one thing at a time, twice{$of}" => [$single, 2, $whole];
            yield "one thing at a time, three times{$of}" => [$single, 3, $whole];
        }
    }

    /** @param  list<array<string, float|string>>  $plan */
    #[DataProvider('tables')]
    public function test_on_pure_noise_seven_in_a_hundred_at_the_most_are_told_to_matter(array $plan, int $times, bool $whole): void
    {
        $random = new Randomizer(new Mt19937(2026 + (int) Sample::part()));
        $tables = Sample::share(1000, 200);
        $told = 0;
        for ($table = 0; $table < $tables; $table++) {
            $trials = [];
            for ($i = 0; $i < $times; $i++) {
                foreach ($plan as $settings) {
                    $rating = 3 + Pluck::normal($random);
                    $trials[] = ['settings' => $settings, 'rating' => $whole ? max(1, min(5, round($rating))) : $rating];
                }
            }
            $told += $this->compute($trials)['matters'] === null ? 0 : 1;
        }

        self::assertLessThanOrEqual(0.07 * $tables, $told);
    }

    public function test_what_truly_matters_is_told_when_it_was_repeated(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $told = 0;
        for ($table = 0; $table < 200; $table++) {
            $trials = [];
            foreach ([1, 2, 3] as $_) {
                foreach ([60, 40] as $speed) {
                    $trials[] = ['settings' => ['speed' => $speed], 'rating' => ($speed === 40 ? 4.5 : 2) + 0.5 * Pluck::normal($random)];
                }
            }
            $told += $this->compute($trials)['matters'] === 'speed' ? 1 : 0;
        }

        self::assertGreaterThan(180, $told);
    }

    public function test_sixteen_prints_of_twelve_settings_are_looked_at_in_pairs(): void
    {
        $plan = [];
        foreach (TwoLevelDesign::plan(['a' => [1.0, 2.0], 'b' => [1.0, 2.0], 'c' => [1.0, 2.0], 'd' => [1.0, 2.0]]) as $row) {
            $signs = array_map(static fn (float|string $v): int => $v === 1.0 ? -1 : 1, $row);
            foreach ([
                'e' => 'ab',
                'f' => 'ac',
                'g' => 'ad',
                'h' => 'bc',
                'i' => 'bd',
                'j' => 'cd',
                'k' => 'abc',
                'l' => 'abd',
            ] as $name => $of) {
                $row[$name] = array_product(array_map(static fn (string $c): int => $signs[$c], str_split($of))) > 0 ? 2.0 : 1.0;
            }
            $plan[] = ['settings' => $row, 'rating' => $row['a'] === 2.0 ? 5 : 1];
        }
        $result = $this->compute($plan);

        self::assertEqualsWithDelta(4.0, $result['effects']['a'], 1e-12);
        self::assertCount(66, $result['interactions']);
        self::assertSame('a', $result['matters']);
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

    /** @return list<Trial> */
    private function pilotPlant(): array
    {
        $plan = TwoLevelDesign::plan(['temperature' => [160.0, 180.0], 'concentration' => [20.0, 40.0], 'catalyst' => ['A', 'B']]);

        return array_map(
            static fn (array $settings, int $yield, int $i): Trial => new Trial($i + 1, $settings, $yield, null, false),
            $plan,
            [60, 72, 54, 68, 52, 83, 45, 80],
            range(0, 7),
        );
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
