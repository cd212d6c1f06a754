<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use OddBench\Diagnosis\Diagnose;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** The whole judgement on the trade’s own knowledge. */
final class DiagnoseTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, string>, string}> family, findings, what it is */
    public static function stories(): iterable
    {
        $p = 'present';
        $a = 'absent';
        yield 'stops feeding after a while, hot material in a liner' => [
            'tern-220',
            ['jams-when-warm' => $p, 'hot-material-used' => $p, 'break-fan-dead' => $a, 'crept-in' => $p],
            'tube-cooked',
        ];
        yield 'jams warm and the little fan stands' => ['tern-220', ['jams-when-warm' => $p, 'break-fan-dead' => $p], 'break-fan-failed'];
        yield 'one corner good, one bad, corners measured' => [
            'wren-mini',
            ['first-layer-uneven' => $p, 'bed-tilt-high' => $p, 'bed-warp-high' => $a, 'plate-lifted' => $a],
            'bed-out-of-level',
        ];
        yield 'never homes since it was put together' => [
            'tern-220-d',
            ['error-homing' => $p, 'switch-not-reached' => $p, 'new-from-box' => $p],
            'carriage-obstructed',
        ];
        yield 'a slot turns and nothing arrives after a power cut' => [
            'heron-cx',
            ['slot-spins-nothing' => $p, 'test-piece-stops' => $p, 'power-cut-mid-print' => $p],
            'feeder-tube-jam',
        ];
        yield 'minus fifteen degrees, sensor open at the head too' => [
            'tern-220',
            ['reads-impossible' => $p, 'error-thermistor' => $p, 'thermistor-open' => $p, 'wire-broken-inside' => $a, 'socket-loose' => $a],
            'thermistor-failed',
        ];
        yield 'the bed takes forever and the plug is brown' => [
            'shearwater-300',
            ['bed-slow' => $p, 'connector-brown' => $p, 'crept-in' => $p],
            'connector-burning',
        ];
        yield 'hairy prints, other spool is fine, spools lie open' => [
            'gannet-delta',
            ['strings' => $p, 'only-this-material' => $p, 'damp-storage' => $p, 'pops-steam' => $p],
            'filament-wet',
        ];
        yield 'walked sideways, belt hangs' => ['gannet-delta', ['layers-shifted' => $p, 'belt-loose' => $p], 'belt-slack'];
        yield 'always stops at one height, reading moves with the wire' => [
            'tern-220',
            ['fails-at-height' => $p, 'wire-broken-inside' => $p, 'restarts-itself' => $p],
            'intermittent-wire',
        ];
        yield 'canister will not feed' => ['bittern-ht', ['wont-load' => $p, 'feed-wheel-stuck' => $p], 'canister-clip-tight'];
        yield 'a lump of plastic' => ['tern-220', ['blob-on-hotend' => $p], 'hotend-blob'];
    }

    /** @param  array<string, string>  $findings */
    #[DataProvider('stories')]
    public function test_the_likeliest_fault_is_what_it_was(string $family, array $findings, string $fault): void
    {
        $result = $this->diagnose($family, $findings);

        self::assertSame($fault, $result['faults'][0]['code']);
        self::assertContains($fault, $result['explained']);
    }

    public function test_two_faults_at_once_are_both_named(): void
    {
        $result = $this->diagnose('tern-220', ['blob-on-hotend' => 'present', 'belt-loose' => 'present', 'belt-out-of-band' => 'present']);

        self::assertEqualsCanonicalizing(['hotend-blob', 'belt-slack'], $result['explained']);
    }

    public function test_a_fault_the_machine_cannot_have_is_not_in_the_list(): void
    {
        $codes = array_column($this->diagnose('shearwater-300', ['jams-when-warm' => 'present'])['faults'], 'code');

        self::assertNotContains('tube-cooked', $codes, 'an all-metal hot end has no liner');
        self::assertContains('heat-creep', $codes);
    }

    public function test_an_unknown_trait_rules_nothing_out(): void
    {
        $codes = array_column($this->compute(['findings' => ['jams-when-warm' => 'present']])['faults'], 'code');

        self::assertCount(92, $codes);
    }

    public function test_a_check_that_cannot_be_done_on_this_machine_is_never_offered(): void
    {
        foreach (['jams-when-warm', 'thin-extrusion', 'wont-load'] as $finding) {
            $next = array_column($this->diagnose('shearwater-300', [$finding => 'present'])['next'], 'code');
            self::assertSame([], array_intersect($next, ['liner-look', 'tube-tug', 'slot-run', 'feed-wheel-thumb']));
        }
    }

    public function test_under_a_red_tag_nothing_that_needs_power_is_offered_unsupervised(): void
    {
        $result = $this->compute(['findings' => ['bed-slow' => 'present', 'connector-brown' => 'present', 'burn-smell' => 'present']]);

        self::assertTrue($result['safety']['red_tag']);
        self::assertNotSame([], $result['next']);
        foreach ($result['next'] as $step) {
            self::assertTrue(! in_array($step['state'], ['powered', 'hot'], true) || $step['supervised'], $step['code']);
        }
    }

    public function test_one_reassuring_look_does_not_hide_a_danger(): void
    {
        $before = $this->compute(['findings' => ['bed-slow' => 'present', 'error-heating' => 'present']]);
        $after = $this->compute(['findings' => [
            'bed-slow' => 'present',
            'error-heating' => 'present',
            'contact-resistance-high' => 'absent',
        ]]);

        self::assertTrue($before['safety']['red_tag']);
        self::assertTrue($after['safety']['red_tag']);
    }

    public function test_circumstances_are_never_counted_as_unexplained(): void
    {
        $result = $this->compute(['findings' => ['crept-in' => 'present', 'damp-storage' => 'present']]);

        self::assertSame([], $result['unexplained']);
        self::assertSame([], $result['explained']);
    }

    public function test_a_finding_no_possible_fault_shows_is_said_to_be_unexplained(): void
    {
        $result = $this->diagnose('shearwater-300', ['slot-spins-nothing' => 'present']);

        self::assertSame(['slot-spins-nothing'], $result['unexplained']);
    }

    public function test_the_shops_own_history_moves_the_starting_rate(): void
    {
        $of = fn (array $input): float => array_column($this->compute($input)['faults'], 'start', 'code')['belt-slack'];

        // Gamma–Poisson by hand: (50 · 0.055 + 20) / (50 + 40)
        self::assertEqualsWithDelta(22.75 / 90, $of(['history' => ['jobs' => 40, 'faults' => ['belt-slack' => 20]]]), 1e-12);
        self::assertEqualsWithDelta(0.055, $of([]), 1e-12);
    }

    public function test_evidence_speaks_for_and_against_as_a_factor_on_the_odds(): void
    {
        $with = $this->compute(['findings' => ['jams-when-warm' => 'present', 'break-fan-dead' => 'absent']]);
        $without = $this->compute(['findings' => ['jams-when-warm' => 'present']]);
        $odds = static function (array $result): float {
            $p = array_column($result['faults'], 'probability', 'code')['break-fan-failed'];

            return $p / (1 - $p);
        };
        $fan = array_values(array_filter($with['faults'], static fn (array $f): bool => $f['code'] === 'break-fan-failed'))[0];

        self::assertSame('break-fan-dead', $fan['against'][0]['finding']);
        self::assertEqualsWithDelta($odds($with) / $odds($without), $fan['against'][0]['factor'], 1e-9);
    }

    public function test_the_next_look_saves_more_than_it_costs_and_never_less_than_nothing(): void
    {
        $next = $this->diagnose('tern-220', ['jams-when-warm' => 'present', 'gear-clicks' => 'present'])['next'];

        self::assertContains('fans-look', [$next[0]['code'], ...$next[0]['looks']]);
        self::assertTrue($next[0]['pays']);
        self::assertGreaterThan(1.0, $next[0]['saves_per_minute']);
        foreach ($next as $step) {
            self::assertGreaterThanOrEqual(0.0, $step['saves_per_minute']);
            if ($step['kind'] === 'check') {
                self::assertEqualsWithDelta(1.0, array_sum(array_column($step['answers'], 'probability')), 1e-9);
            }
        }
    }

    public function test_when_no_look_is_worth_its_minutes_it_says_mend_now(): void
    {
        $hidden = array_keys(TradeKnowledge::read()->checks);
        $next = $this->compute(['findings' => ['blob-on-hotend' => 'present', 'belt-loose' => 'present'], 'hidden' => $hidden])['next'];

        self::assertSame(['mend', 'mend'], array_slice(array_column($next, 'kind'), 0, 2));
        // in order of probability over cost: the belt takes 8 minutes, the blob 45
        self::assertSame(['belt-slack', 'hotend-blob'], array_slice(array_column($next, 'code'), 0, 2));
    }

    public function test_swap_first_offers_a_swap_for_a_part_on_the_shelf_only(): void
    {
        $case = ['findings' => ['break-fan-dead' => 'present', 'fan-noisy' => 'present'], 'school' => 'swap-first'];
        $kinds = fn (array $input): array => array_column(
            array_filter($this->compute($input)['next'], static fn (array $s): bool => $s['kind'] === 'swap'),
            'code',
        );

        self::assertSame([], $kinds($case));
        self::assertContains('break-fan-failed', $kinds($case + ['on_shelf' => ['heat-break-fan']]));
    }

    public function test_under_a_red_tag_nothing_is_swapped_to_see(): void
    {
        $case = [
            'findings' => ['fan-noisy' => 'present', 'jams-when-warm' => 'present'],
            'school' => 'swap-first',
            'on_shelf' => ['heat-break-fan'],
        ];

        self::assertContains('swap', array_column($this->compute($case)['next'], 'kind'));
        self::assertNotContains(
            'swap',
            array_column($this->compute($case + ['red_tag' => true])['next'], 'kind'),
            'whether it was right shows under power only',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badInput(): iterable
    {
        yield 'unknown finding, the nearest is named' => [
            ['findings' => ['jam-when-warm' => 'present']],
            'findings.jam-when-warm',
            'jams-when-warm',
        ];
        yield 'neither present nor absent' => [['findings' => ['strings' => 'yes']], 'findings.strings', 'present'];
        yield 'unknown trait' => [['traits' => ['guide' => 'wheels']], 'traits.guide', 'guides'];
        yield 'unknown value' => [['traits' => ['guides' => 'wheel']], 'traits.guides', 'wheels'];
        yield 'unknown key' => [['finding' => []], 'finding', 'findings'];
        yield 'more of a fault than jobs' => [
            ['history' => ['jobs' => 3, 'faults' => ['belt-slack' => 4]]],
            'history.faults.belt-slack',
            'from 0 to 3',
        ];
        yield 'unknown school' => [['school' => 'guess'], 'school', 'measure-first'];
        yield 'a list where an object belongs' => [['findings' => ['strings']], 'findings', 'object'];
        yield 'a minute that costs nothing' => [['rates' => ['bench_minute' => 0]], 'rates.bench_minute', '0.01'];
        yield 'unknown fault in the history' => [
            ['history' => ['jobs' => 1, 'faults' => ['belt-slak' => 1]]],
            'history.faults.belt-slak',
            'belt-slack',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('badInput')]
    public function test_bad_input_is_refused_by_its_field(array $input, string $field, string $hint): void
    {
        try {
            $this->compute($input);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($hint, $e->getMessage());
        }
    }

    /**
     * @param  array<string, string>  $findings
     * @return array<string, mixed>
     */
    private function diagnose(string $family, array $findings): array
    {
        return $this->compute(['traits' => TradeKnowledge::read()->families[$family]->traits, 'findings' => $findings]);
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function compute(array $input): array
    {
        return (new Diagnose(TradeKnowledge::read()))->compute($input);
    }
}
