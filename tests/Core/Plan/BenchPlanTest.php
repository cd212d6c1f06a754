<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Input\InputError;
use OddBench\Plan\BenchPlan;
use OddBench\Plan\ListSchedule;
use OddBench\Plan\PlanJob;
use OddBench\Plan\Planner;
use OddBench\Plan\Possible;
use OddBench\Plan\Search;
use OddBench\Plan\Step;
use OddBench\Plan\Worker;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Sample;

/** The plan against every plan of small benches, and against rules whose optimum is known. */
final class BenchPlanTest extends TestCase
{
    private const DAY = [['name' => 'Bo', 'free' => [[0, 3000]]]];

    public function test_three_jobs_by_hand(): void
    {
        $told = $this->told(['people' => self::DAY, 'jobs' => [
            ['id' => 'A', 'due' => 480, 'steps' => [['hands' => 135]]],
            ['id' => 'X', 'steps' => [['hands' => 5, 'alone' => 180], ['hands' => 5]]],
            ['id' => 'Y', 'due' => 960, 'steps' => [['hands' => 5, 'alone' => 360]]],
        ]]);

        self::assertSame(['Y', 'X', 'A', 'X'], array_column($told['timetable'], 'job'));
        self::assertSame(['X' => 195, 'A' => 145, 'Y' => 365], $this->ends($told, ['X', 'A', 'Y']));
        self::assertSame([[], true, 0.0], [$told['late'], $told['proved'], $told['gap']]);
    }

    public function test_four_jobs_by_hand(): void
    {
        $told = $this->told(['people' => self::DAY, 'jobs' => [
            ['id' => 'P', 'due' => 120, 'weight' => 1, 'steps' => [['hands' => 20, 'alone' => 60], ['hands' => 10]]],
            ['id' => 'Q', 'due' => 60, 'weight' => 3, 'steps' => [['hands' => 30]]],
            ['id' => 'R', 'due' => 180, 'weight' => 1, 'steps' => [['hands' => 5, 'alone' => 120], ['hands' => 15]]],
            ['id' => 'S', 'due' => 150, 'weight' => 2, 'steps' => [['hands' => 40, 'alone' => 15], ['hands' => 5]]],
        ]]);

        self::assertSame([0.0, 415, true], [$told['lateness'], $told['completion'], $told['proved']]);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (Sample::of(range(1, 300)) as $seed) {
            yield "bench {$seed}" => [$seed];
        }
    }

    /** The best of all plans, with nights, rights, places, parts that come, and somebody who stays beside it. */
    #[DataProvider('seeds')]
    public function test_against_every_plan(int $seed): void
    {
        mt_srand($seed);
        $case = ['people' => [], 'jobs' => [], 'places' => ['oven' => mt_rand(1, 2)], 'open' => [[0, 17], [18, 60]]];
        foreach (array_slice(['Bo', 'Imre'], 0, mt_rand(1, 2)) as $i => $name) {
            $case['people'][] = [
                'name' => $name,
                'free' => [[0, mt_rand(9, 16)], [mt_rand(18, 22), 90]],
                'rights' => $i === 0 ? ['mains'] : [],
            ];
        }
        $jobs = mt_rand(2, 4);
        for ($j = 0; $j < $jobs; $j++) {
            $steps = [];
            for ($k = mt_rand(1, $jobs > 3 ? 1 : 2); $k > 0; $k--) {
                $alone = mt_rand(0, 1) * mt_rand(1, 9);
                $steps[] = ['hands' => mt_rand(1, 7), 'alone' => $alone, 'not_before' => mt_rand(0, 4) === 0 ? mt_rand(1, 12) : 0]
                    + (mt_rand(0, 3) === 0 ? ['place' => 'oven'] : [])
                    + ($alone > 0 && mt_rand(0, 3) === 0 ? ['beside' => true] : [])
                    + ($alone > 0 && mt_rand(0, 3) === 0 ? ['attended' => true] : [])
                    + (mt_rand(0, 4) === 0 ? ['rights' => ['mains']] : []);
            }
            $case['jobs'][] = [
                'id' => "J{$j}",
                'steps' => $steps,
                'weight' => mt_rand(1, 4),
            ] + (mt_rand(0, 2) > 0 ? ['due' => mt_rand(4, 24)] : []);
        }
        $told = $this->told($case);

        self::assertTrue($told['proved']);
        self::assertSame(EveryPlan::best($case), [$told['lateness'], $told['completion']]);
        $this->assertHolds($case, $told);
    }

    /** One person: the soonest promised first makes the latest as little late as can be (Jackson 1955); here that is nobody. */
    public function test_jacksons_rule_for_promises(): void
    {
        foreach (Sample::of(range(1, 20)) as $seed) {
            mt_srand($seed);
            [$jobs, $at] = [[], 0];
            foreach (range(0, 5) as $j) {
                $hands = mt_rand(5, 60);
                $at += $hands;
                $jobs[] = ['id' => "J{$j}", 'due' => $at, 'steps' => [['hands' => $hands]]];
            }
            shuffle($jobs);
            // promised so that only the order of the promises holds all of them
            $told = $this->told(['people' => self::DAY, 'jobs' => $jobs]);

            self::assertSame([[], 0.0], [$told['late'], $told['lateness']]);
            self::assertSame(['J0', 'J1', 'J2', 'J3', 'J4', 'J5'], array_column($told['timetable'], 'job'));
        }
    }

    /** One person, long times alone: the longest tail first ends soonest (Jackson 1955); all promised for exactly that. */
    public function test_jacksons_rule_for_what_stands_alone(): void
    {
        foreach (Sample::of(range(1, 20)) as $seed) {
            mt_srand($seed);
            $steps = array_map(static fn (): array => ['hands' => mt_rand(5, 40), 'alone' => mt_rand(10, 400)], range(0, 5));
            $byTail = $steps;
            usort($byTail, static fn (array $a, array $b): int => $b['alone'] <=> $a['alone']);
            [$at, $end] = [0, 0];
            foreach ($byTail as $step) {
                $at += $step['hands'];
                $end = max($end, $at + $step['alone']);
            }
            $job = static fn (int $due): array => array_map(
                static fn (array $step, int $j): array => ['id' => "J{$j}", 'due' => $due, 'steps' => [$step]],
                $steps,
                array_keys($steps),
            );

            self::assertSame([], $this->told(['people' => self::DAY, 'jobs' => $job($end)])['late']);
            self::assertNotSame([], $this->told(['people' => self::DAY, 'jobs' => $job($end - 1)])['late']);
        }
    }

    /** One person, everything promised for the beginning: weight over minutes, highest first (Smith 1956). */
    public function test_smiths_rule(): void
    {
        foreach (Sample::of(range(1, 20)) as $seed) {
            mt_srand($seed);
            $jobs = array_map(static fn (int $j): array => [
                'id' => "J{$j}",
                'due' => 0,
                'weight' => mt_rand(1, 9),
                'steps' => [['hands' => mt_rand(3, 50)]],
            ], range(0, 6));
            $smith = $jobs;
            usort(
                $smith,
                static fn (array $a, array $b): int => $b['weight'] / $b['steps'][0]['hands'] <=> $a['weight'] / $a['steps'][0]['hands'],
            );
            [$at, $cost] = [0, 0.0];
            foreach ($smith as $job) {
                $at += $job['steps'][0]['hands'];
                $cost += $job['weight'] * $at;
            }

            $told = $this->told(['people' => self::DAY, 'jobs' => $jobs]);
            self::assertSame($cost, $told['lateness']);
            self::assertLessThanOrEqual($cost + 1e-6, $told['bound']);
        }
    }

    /** Where nothing is proved the plan holds all the same, is no worse than promised-first, and lies above its bound. */
    public function test_forty_jobs(): void
    {
        mt_srand(4);
        [$workers, $jobs] = [[], []];
        foreach (['Bo' => ['mains'], 'Imre' => [], 'Ada' => ['mains', 'lead'], 'Tove' => ['lead']] as $name => $rights) {
            $free = [];
            for ($day = 0; $day < 21; $day++) {
                $free = [...$free, [$day * 1440 + 480, $day * 1440 + 720], [$day * 1440 + 765, $day * 1440 + 1020]];
            }
            $workers[] = new Worker($name, $free, $rights);
        }
        for ($j = 0; $j < 40; $j++) {
            $steps = array_map(static fn (): Step => new Step(
                mt_rand(5, 60),
                mt_rand(0, 2) > 0 ? 0 : mt_rand(20, 400),
                false,
                mt_rand(0, 5) > 0 ? [] : ['mains'],
                mt_rand(0, 6) > 0 ? [] : ['oven'],
            ), range(0, mt_rand(2, 8)));
            $jobs[] = new PlanJob("J{$j}", mt_rand(0, 2) > 0 ? mt_rand(600, 5000) : null, (float) mt_rand(1, 5), $steps);
        }
        $planner = new Planner(6000);
        $plan = $planner->plan($workers, $jobs, ['oven' => 1]);
        [$problem] = Possible::of($workers, $jobs, ['oven' => 1]);
        $promised = (new ListSchedule($problem))->of(Search::promisedFirst($problem));

        self::assertLessThanOrEqual(0, $plan->timetable->score->against($promised->score));
        self::assertGreaterThan(0.0, $promised->score->lateness);
        self::assertLessThanOrEqual($plan->timetable->score->lateness, $plan->bound);
        self::assertGreaterThan(0.0, $plan->completionBound);
        self::assertLessThanOrEqual($plan->timetable->score->completion, $plan->completionBound);
        self::assertFalse($plan->proved);
        self::assertEquals($plan, $planner->plan($workers, $jobs, ['oven' => 1]), 'the same seed gives the same plan');
    }

    public function test_whoever_is_quicker_at_it_does_it(): void
    {
        $told = $this->told([
            'people' => [['name' => 'Bo', 'free' => [[0, 100]]], ['name' => 'Imre', 'free' => [[0, 100]]]],
            'jobs' => [['id' => 'A', 'steps' => [['hands' => 40, 'hands_by' => ['Imre' => 25]]]]],
        ]);

        self::assertSame([['Imre', 25]], array_map(static fn (array $one): array => [$one['person'], $one['end']], $told['timetable']));
    }

    public function test_what_is_under_way_stays_and_nobody_is_needed_for_it(): void
    {
        $told = $this->told(['people' => self::DAY, 'places' => ['oven' => 1], 'jobs' => [
            ['id' => 'A', 'due' => 10, 'weight' => 100, 'steps' => [['hands' => 5, 'alone' => 50, 'place' => 'oven']]],
            ['id' => 'B', 'steps' => [['alone' => 90, 'place' => 'oven', 'begun' => true], ['hands' => 5]]],
        ]]);

        self::assertSame([['B', null, 0, 90], ['A', 'Bo', 90, 145], ['B', 'Bo', 95, 100]], array_map(
            static fn (array $one): array => [$one['job'], $one['person'], $one['start'], $one['alone_until']],
            $told['timetable'],
        ));
    }

    public function test_what_somebody_put_there_goes_before_what_nobody_did(): void
    {
        $jobs = [
            ['id' => 'A', 'steps' => [['hands' => 10], ['hands' => 20, 'not_before' => 30, 'pinned' => true], ['hands' => 5]]],
            ['id' => 'B', 'due' => 25, 'weight' => 9, 'steps' => [['hands' => 25]]],
            ['id' => 'C', 'steps' => [['hands' => 5]]],
        ];
        $told = $this->told(['people' => self::DAY, 'jobs' => $jobs]);
        $at = array_map(static fn (array $one): string => "{$one['job']}{$one['step']} {$one['start']}", $told['timetable']);

        self::assertSame(['A1 0', 'C1 10', 'A2 30', 'B1 50', 'A3 75'], $at, 'as it was put, whatever is late by it');
        self::assertTrue($told['proved']);
        unset($jobs[0]['steps'][1]['pinned']);
        self::assertSame(
            'B1 0',
            ($one = $this->told(['people' => self::DAY, 'jobs' => $jobs])['timetable'][0])['job'].$one['step'].' '.$one['start'],
        );
    }

    public function test_what_cannot_be_is_said_and_the_rest_is_planned(): void
    {
        $told = $this->told([
            'people' => [['name' => 'Bo', 'free' => [[0, 240], [300, 500]]], ['name' => 'Imre', 'free' => []]],
            'places' => ['meter' => 0],
            'jobs' => [
                ['id' => 'long', 'steps' => [['hands' => 20], ['hands' => 241], ['hands' => 5]]],
                ['id' => 'mains', 'steps' => [['hands' => 20, 'rights' => ['mains']]]],
                ['id' => 'part', 'steps' => [['hands' => 10, 'waits_for' => 'a fan']]],
                ['id' => 'one', 'after' => ['two'], 'steps' => [['hands' => 10]]],
                ['id' => 'two', 'after' => ['one'], 'steps' => [['hands' => 10]]],
                ['id' => 'third', 'after' => ['part'], 'steps' => [['hands' => 10]]],
                ['id' => 'meter', 'steps' => [['hands' => 10, 'place' => 'meter']]],
                ['id' => 'away', 'steps' => [['hands' => 10, 'who' => 'Imre']]],
                ['id' => 'late', 'steps' => [['hands' => 10, 'not_before' => 495]]],
                ['id' => 'well', 'after' => ['sooner'], 'steps' => [['hands' => 10]]],
                ['id' => 'sooner', 'steps' => [['hands' => 10, 'alone' => 60]]],
            ],
        ]);

        $why = array_combine(array_column($told['unplaced'], 'job'), array_column($told['unplaced'], 'because'));
        $say = [
            'long' => '241 min in a row, and who may do it is never here for more than 240', 'mains' => 'it needs mains',
            'part' => 'a fan, and nobody said for how long', 'one' => 'one → two → one', 'two' => 'two → one → two',
            'third' => 'waits for part, which is not planned', 'meter' => 'not there: meter', 'away' => 'Nobody who may do it is here',
            'late' => 'No hands are left for it',
        ];
        self::assertSameSize($say, $why);
        foreach ($say as $job => $words) {
            self::assertStringContainsString($words, $why[$job]);
        }
        self::assertSame(2, $told['unplaced'][array_search('long', array_keys($why), true)]['step']);
        self::assertSame(['sooner', 'long', 'well'], array_column($told['timetable'], 'job'));
        self::assertSame(70, $told['timetable'][2]['start'], 'after what it waits for is over');
    }

    public function test_with_nobody_nothing_is_planned_and_it_says_so(): void
    {
        $told = $this->told(['people' => [], 'jobs' => [['id' => 'A', 'steps' => [['hands' => 5]]]]]);
        self::assertSame([[], 'Nobody works here in these days.'], [$told['timetable'], $told['unplaced'][0]['because']]);
        self::assertSame([], $this->told(['people' => self::DAY, 'jobs' => []])['timetable']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        $job = ['id' => 'A', 'steps' => [['hands' => 5]]];
        yield 'spans that overlap' => [
            ['people' => [['name' => 'Bo', 'free' => [[0, 100], [90, 200]]]], 'jobs' => [$job]],
            'free.1',
            'one after the other',
        ];
        yield 'a span that ends first' => [
            ['people' => [['name' => 'Bo', 'free' => [[10, 10]]]], 'jobs' => [$job]],
            'free.0',
            'ending after it begins',
        ];
        yield 'two of a name' => [['people' => self::DAY, 'jobs' => [$job, $job]], 'jobs', 'called the same'];
        yield 'a job that is none' => [
            ['people' => self::DAY, 'jobs' => [['id' => 'A', 'steps' => []]]],
            'jobs.0.steps',
            'at least one step',
        ];
        yield 'a step that takes nothing' => [
            ['people' => self::DAY, 'jobs' => [['id' => 'A', 'steps' => [['hands' => 0]]]]],
            'jobs.0.steps.0.hands',
            'takes minutes',
        ];
        yield 'after nobody' => [['people' => self::DAY, 'jobs' => [$job + ['after' => ['AA']]]], 'jobs.0.after', 'There is no job “AA”'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('bad')]
    public function test_bad_input_names_its_field(array $input, string $field, string $words): void
    {
        try {
            (new BenchPlan)->compute($input);
            self::fail('It was taken.');
        } catch (InputError $error) {
            self::assertSame($field, $error->field);
            self::assertStringContainsString($words, $error->getMessage());
        }
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  array<string, mixed>  $told
     */
    private function assertHolds(array $case, array $told): void
    {
        $busy = [];
        $oven = [];
        $ready = [];
        $jobs = array_column($case['jobs'], null, 'id');
        $people = array_column($case['people'], null, 'name');
        foreach ($told['timetable'] as $one) {
            $step = $jobs[$one['job']]['steps'][$one['step'] - 1];
            $keeps = $step['hands'] + (($step['beside'] ?? false) ? $step['alone'] : 0);
            self::assertSame(
                [$one['start'] + $step['hands'], $one['start'] + $step['hands'] + $step['alone']],
                [$one['end'], $one['alone_until']],
            );
            self::assertGreaterThanOrEqual(max($ready[$one['job']] ?? 0, $step['not_before']), $one['start']);
            self::assertSame([], array_diff($step['rights'] ?? [], $people[$one['person']]['rights']));
            self::assertNotSame([], array_filter(
                $people[$one['person']]['free'],
                static fn (array $span): bool => $span[0] <= $one['start'] && $span[1] >= $one['start'] + $keeps,
            ));
            for ($m = $one['start']; $m < $one['start'] + $keeps; $m++) {
                self::assertArrayNotHasKey("{$one['person']} {$m}", $busy);
                $busy["{$one['person']} {$m}"] = true;
            }
            for ($m = $one['start']; isset($step['place']) && $m < $one['alone_until']; $m++) {
                $oven[$m] = ($oven[$m] ?? 0) + 1;
                self::assertLessThanOrEqual($case['places']['oven'], $oven[$m]);
            }
            $ready[$one['job']] = $one['alone_until'];
        }
        self::assertCount(array_sum(array_map(static fn (array $job): int => count($job['steps']), $case['jobs'])), $told['timetable']);
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function told(array $input): array
    {
        return (new BenchPlan)->compute($input);
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  list<string>  $jobs
     * @return array<string, int>
     */
    private function ends(array $told, array $jobs): array
    {
        $ends = array_fill_keys($jobs, 0);
        foreach ($told['timetable'] as $one) {
            $ends[$one['job']] = max($ends[$one['job']], $one['alone_until']);
        }

        return $ends;
    }
}
