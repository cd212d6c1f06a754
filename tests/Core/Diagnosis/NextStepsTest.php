<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Diagnose;
use OddBench\Diagnosis\Network;
use OddBench\Diagnosis\Rates;
use OddBench\Knowledge\Check;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;
use OddBench\Knowledge\Traits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What the next look saves, worked out again from the definition: every set of faults, every outcome. */
final class NextStepsTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_what_a_look_saves_agrees_with_the_definition(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $knowledge = SmallKnowledge::make($random, 6, 7);
        $network = Network::forMachine($knowledge, Traits::of([]), Rates::catalogue());
        $findings = ['finding-0' => true, 'finding-2' => $seed % 2 === 0];
        $next = (new Diagnose($knowledge))->compute(['findings' => array_map(
            static fn (bool $p): string => $p ? 'present' : 'absent',
            $findings,
        )])['next'];
        $offered = array_filter($next, static fn (array $s): bool => $s['kind'] === 'check');
        self::assertNotSame([], $next);

        foreach ($offered as $step) {
            $check = $knowledge->checks[$step['code']];
            $minutes = $check->minutes + $knowledge->bench->minutesToReach($check->state);
            self::assertEqualsWithDelta($minutes, $step['minutes'], 1e-12);
            self::assertEqualsWithDelta(
                $this->saved($knowledge, $network, $findings, $check) / $minutes,
                $step['saves_per_minute'],
                1e-9,
                $step['code'],
            );
            self::assertGreaterThanOrEqual(0.0, $step['saves_per_minute'], 'knowing more never costs');
        }
    }

    public function test_mends_come_in_order_of_probability_over_cost(): void
    {
        // the troubleshooting order of Heckerman, Breese and Rommelse (1995), by hand: with one finding that either of
        // three faults shows alike, p/c is 0.10/40, 0.08/10 and 0.02/5, so b, c, a though a is the likeliest
        $shows = ['dead' => 0.9];
        $knowledge = SmallKnowledge::of(
            ['dead' => new Finding('dead', 'dead', 'Made up', 0.002, false, true, false, null)],
            [
                'a' => SmallKnowledge::fault('a', 100, $shows, 40),
                'b' => SmallKnowledge::fault('b', 80, $shows, 10),
                'c' => SmallKnowledge::fault('c', 20, $shows, 5),
            ],
        );

        $result = (new Diagnose($knowledge))->compute(['findings' => ['dead' => 'present']]);

        self::assertSame(['a', 'b', 'c'], array_column($result['faults'], 'code'));
        self::assertSame(['b', 'c', 'a'], array_column($result['next'], 'code'));
        self::assertSame(['mend'], array_values(array_unique(array_column($result['next'], 'kind'))));
    }

    public function test_of_two_looks_that_tell_the_same_the_shorter_and_safer_comes_first(): void
    {
        $shows = ['seen' => 0.9, 'told' => 0.65];
        $findings = [];
        foreach (['seen', 'told'] as $code) {
            $findings[$code] = new Finding($code, $code, 'Made up', 0.02, false, true, false, null);
        }
        $checks = [
            'hot-look' => SmallKnowledge::check('hot-look', ['seen'], State::Hot, 1),
            'cold-look' => SmallKnowledge::check('cold-look', ['seen'], State::Cold, 1),
        ];
        $knowledge = SmallKnowledge::of($findings, ['a' => SmallKnowledge::fault('a', 100, $shows, 40)], $checks);

        $next = (new Diagnose($knowledge))->compute(['findings' => ['told' => 'present']])['next'];
        self::assertSame(['cold-look', 'hot-look'], array_values(array_diff(array_column($next, 'code'), ['a'])));
    }

    public function test_a_look_that_bears_on_nothing_in_question_is_not_offered(): void
    {
        $findings = [];
        foreach (['clicks', 'dust', 'smoke-free'] as $code) {
            $findings[$code] = new Finding($code, $code, 'Made up', 0.02, false, true, false, null);
        }
        $faults = [
            'gear' => SmallKnowledge::fault('gear', 50, ['clicks' => 0.65, 'dust' => 0.65], 20),
            'lamp' => SmallKnowledge::fault('lamp', 300, ['smoke-free' => 0.9], 5),
        ];
        $checks = [
            'gear-look' => SmallKnowledge::check('gear-look', ['dust'], State::Cold, 2),
            'lamp-look' => SmallKnowledge::check('lamp-look', ['smoke-free'], State::Cold, 1),
        ];
        $knowledge = SmallKnowledge::of($findings, $faults, $checks);

        self::assertNotContains(
            'lamp-look',
            array_column((new Diagnose($knowledge))->compute(['findings' => ['clicks' => 'present']])['next'], 'code'),
        );
        self::assertContains('lamp-look', array_column((new Diagnose($knowledge))->compute(['findings' => []])['next'], 'code'));
    }

    public function test_a_dangerous_fault_asks_for_the_tag_from_one_in_five_on(): void
    {
        $of = function (float $rate): bool {
            $finding = new Finding('slow', 'slow', 'Made up', 0.02, false, true, false, null);
            $knowledge = SmallKnowledge::of(
                ['slow' => $finding],
                ['burning' => SmallKnowledge::fault('burning', $rate, ['slow' => 0.9], 30, danger: true)],
            );

            return (new Diagnose($knowledge))->compute(['findings' => ['slow' => 'present']])['safety']['red_tag'];
        };

        // by Bayes’ rule: p·0.902 / (p·0.902 + (1 − p)·0.02) is 0.2 at p = 0.00551
        self::assertFalse($of(5.3));
        self::assertTrue($of(5.7));
    }

    /**
     * L now less the mean of L over the outcomes, by the definition, over the faults linked to a present finding.
     *
     * @param  array<string, bool>  $findings
     */
    private function saved(Knowledge $knowledge, Network $network, array $findings, Check $check): float
    {
        $open = array_values(array_diff($check->yields, array_keys($findings)));
        $counting = [];
        foreach (array_keys($findings, true, true) as $code) {
            foreach ($network->parents[(int) array_search($code, $network->findings, true)] as $fault) {
                $counting[$fault] = true;
            }
        }
        $loss = static function (array $beliefs) use ($knowledge, $network, $counting): float {
            $loss = 0.0;
            foreach (array_keys($counting) as $fault) {
                // half a minute to unplug it first
                $minutes = 0.5 + $knowledge->faults[$network->faults[$fault]]->mend()->minutes;
                $loss += min((1 - $beliefs[$fault]) * $minutes, $beliefs[$fault] * (60 + $minutes));
            }

            return $loss;
        };
        [$before, $now] = BruteForce::posterior($network, $findings);
        $saved = $loss($now);
        for ($outcome = 0; $outcome < 1 << count($open); $outcome++) {
            $told = [];
            foreach ($open as $i => $code) {
                $told[$code] = (bool) ($outcome >> $i & 1);
            }
            [$after, $beliefs] = BruteForce::posterior($network, $findings + $told);
            $saved -= $after / $before * $loss($beliefs);
        }

        return $saved;
    }
}
