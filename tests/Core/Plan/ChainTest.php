<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Input\InputError;
use OddBench\Knowledge\Stage;
use OddBench\Plan\StepsAhead;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

final class ChainTest extends TestCase
{
    public function test_from_find_to_the_door(): void
    {
        $told = $this->told([
            'station' => 'diagnosis',
            'traits' => ['hotend' => 'lined'],
            'look' => ['name' => 'Ohms at the plug', 'minutes' => 3.2, 'qualified' => true],
            'search_minutes' => 6.4,
            'mend' => ['bed-wire-broken'],
            'earned' => ['nights' => true],
        ]);
        $rows = array_map(
            static fn (array $step): array => [$step['what'], $step['hands'], $step['alone'], $step['watch']],
            $told['steps'],
        );
        $first = array_slice($rows, 0, 4);
        $guide = TradeKnowledge::read()->guides['new-bed-wires'];

        self::assertSame([['Ohms at the plug', 4, 0, 'nobody'], ['Go on looking', 7, 0, 'nobody']], array_slice($first, 0, 2));
        self::assertSame(['mains'], $told['steps'][0]['rights']);
        self::assertSame(['New wires to the bed', 10, 'nobody'], [$first[2][0], $first[2][2], $first[2][3]], 'it cools by itself');
        self::assertSame('New wires to the bed, goes on', $first[3][0]);
        // rounded up at each piece, and the minute its board discharges and the soak somebody stays for
        self::assertGreaterThanOrEqual($guide->practised, $first[2][1] + $first[3][1]);
        self::assertSame(['bed-loom', null], [$told['steps'][2]['part'], $told['steps'][3]['part']]);
        self::assertSame(['mains'], $told['steps'][2]['rights'], 'a bed that may be on the mains');
        self::assertSame(['Send out', 5, 0, 'nobody'], $rows[count($rows) - 1]);
        self::assertSame(array_sum(array_column($rows, 1)), $told['hands']);
        self::assertSame(array_sum(array_column($rows, 2)), $told['alone']);
        $stations = array_column($told['steps'], 'station');
        $sorted = $stations;
        usort($sorted, static fn (string $a, string $b): int => array_search($a, ['diagnosis', 'repair', 'proof', 'release'], true)
            <=> array_search($b, ['diagnosis', 'repair', 'proof', 'release'], true));
        self::assertSame($sorted, $stations);
    }

    public function test_every_step_has_a_name_of_its_own(): void
    {
        $task = ['name' => 'Change the fan', 'minutes' => 10.0, 'part' => 'fan-part'];
        $told = $this->told(['station' => 'repair', 'traits' => [], 'tasks' => [$task, $task, ['minutes' => 4.0] + $task]]);
        $what = array_column($told['steps'], 'what');

        self::assertSame(['Change the fan', 'Change the fan (2)', 'Change the fan (3)'], array_slice($what, 0, 3));
        self::assertSame([10, 10, 4], array_slice(array_column($told['steps'], 'hands'), 0, 3));
        self::assertSame(['fan-part', 'fan-part', 'fan-part'], array_slice(array_column($told['steps'], 'part'), 0, 3));
        self::assertSame($what, array_values(array_unique($what)));
    }

    public function test_proofs_earn_what_comes_after_them(): void
    {
        $watch = fn (array $owed, array $earned): array => array_column(
            $this->told(['station' => 'proof', 'traits' => [], 'owed' => $owed, 'earned' => $earned + ['nights' => true]])['steps'],
            'watch',
            'what',
        );
        $all = $watch(['long-print', 'small-print', 'bed-hold', 'runaway-bed'], ['lacking' => ['runaway-bed']]);
        self::assertSame('beside', $all['Prove: bed heats and holds']);
        self::assertSame('in-the-shop', $all['Prove: a small print']);
        self::assertSame('nobody', $all['Prove: a long print']);
        // one heater was never seen to stop
        $half = $watch(['long-print', 'small-print', 'bed-hold', 'runaway-bed'], ['lacking' => ['runaway-bed', 'runaway-hotend']]);
        self::assertSame('in-the-shop', $half['Prove: a long print']);
        self::assertSame(
            'in-the-shop',
            $watch(['long-print'], ['holds' => true, 'printed' => true, 'lacking' => ['runaway-hotend']])['Prove: a long print'],
        );
        self::assertSame('nobody', $watch(['long-print'], ['stops' => true, 'holds' => true, 'printed' => true])['Prove: a long print']);
        self::assertSame('beside', $watch(['small-print'], [])['Prove: a small print']);
    }

    public function test_minutes_by_themselves_are_the_shops_and_one_proof_of_a_stage_waits_for_no_other(): void
    {
        $bench = TradeKnowledge::read()->bench;
        $steps = $this->told(['station' => 'proof', 'traits' => [], 'owed' => ['first-layer', 'small-print', 'repeat-complaint']])['steps'];

        self::assertSame((int) (3 * $bench->minutesToProve(Stage::Print)), $steps[0]['hands']);
        self::assertSame((int) $bench->aloneToProve(Stage::Print), $steps[0]['alone']);
        self::assertGreaterThan(0, $steps[0]['alone']);
        self::assertSame(180.0, $bench->aloneToProve(Stage::Long));
        self::assertSame(0.0, $bench->aloneToProve(Stage::Cold));
    }

    public function test_drying_takes_the_oven_and_waits_for_its_part(): void
    {
        $steps = $this->told(['station' => 'repair', 'traits' => [], 'mend' => ['filament-wet']])['steps'];
        self::assertSame(
            ['oven', 360, 'in-the-shop', 'desiccant'],
            [$steps[0]['place'], $steps[0]['alone'], $steps[0]['watch'], $steps[0]['part']],
        );
        $here = $this->told(
            ['station' => 'repair', 'traits' => [], 'mend' => ['filament-wet'], 'here' => ['desiccant'], 'earned' => ['nights' => true]],
        );
        self::assertSame([null, 'nobody'], [$here['steps'][0]['part'], $here['steps'][0]['watch']]);
    }

    public function test_a_red_tag_comes_off_before_anything_is_proved_and_a_lead_countersigns(): void
    {
        $what = fn (array $more): array => array_column(
            $this->told(
                ['station' => 'repair', 'traits' => [], 'off' => 3, 'owed' => ['power-on'], 'earned' => ['red_tag' => true]] + $more,
            )['steps'],
            'what',
        );
        self::assertSame(
            [
                'Put 3 pieces back',
                'Measure for the red tag and sign',
                'Countersign the red tag',
                'Prove: power on, watch for smoke',
                'Send out',
            ],
            $what([]),
        );
        self::assertSame('Countersign the red tag', $what(['asked' => true])[1]);
        $steps = $this->told(['station' => 'proof', 'traits' => [], 'asked' => true, 'earned' => ['red_tag' => true]])['steps'];
        self::assertSame(['lead'], $steps[0]['rights']);
    }

    public function test_whoever_has_done_it_often_is_quicker(): void
    {
        $guide = TradeKnowledge::read()->guides['new-bed-wires'];
        $steps = $this->told([
            'station' => 'repair',
            'traits' => [],
            'mend' => ['bed-wire-broken'],
            'people' => [
                ['name' => 'Bo', 'guide' => 'new-bed-wires', 'minutes' => []],
                ['name' => 'Imre', 'guide' => 'new-bed-wires', 'minutes' => [60, 40, 30, 25, 22, 20, 19, 18]],
            ],
        ])['steps'];
        $by = fn (string $name): int => array_sum(array_map(static fn (array $step): int => $step['hands_by'][$name] ?? 0, $steps));

        self::assertGreaterThanOrEqual($guide->first, $by('Bo'));
        self::assertLessThan($guide->practised + 10, $by('Imre'));
        self::assertLessThan($by('Bo') - 10, $by('Imre'));
    }

    public function test_what_goes_by_itself_now_comes_first(): void
    {
        $steps = $this->told(
            [
                'station' => 'repair',
                'traits' => [],
                'timers' => [['name' => 'glue', 'minutes' => 20], ['name' => 'paint', 'minutes' => 90]],
            ],
        )['steps'];
        self::assertSame(['paint', 0, 90, true], [$steps[0]['what'], $steps[0]['hands'], $steps[0]['alone'], $steps[0]['begun']]);
        self::assertFalse($steps[1]['begun']);
        self::assertSame(['in-the-shop', 'Nobody has said whether it is hot.'], [$steps[0]['watch'], $steps[0]['because']]);
    }

    public function test_what_goes_by_itself_is_watched_as_whatever_of_it_asks_for_most(): void
    {
        $first = function (array ...$timers): array {
            $earned = ['stops' => true, 'holds' => true, 'nights' => true];
            $step = $this->told(['station' => 'repair', 'traits' => [], 'timers' => $timers, 'earned' => $earned])['steps'][0];

            return [$step['what'], $step['watch'], $step['place']];
        };
        $paint = ['name' => 'paint', 'minutes' => 90, 'heat' => 'cold'];
        $soak = ['name' => 'soak', 'minutes' => 40, 'heat' => 'hot'];
        $dry = ['name' => 'dry', 'minutes' => 360, 'heat' => 'cold', 'oven' => true];

        self::assertSame(['paint', 'nobody', null], $first($paint));
        self::assertSame(['soak', 'in-the-shop', null], $first($soak), 'no small print has come out well yet');
        self::assertSame(['paint', 'in-the-shop', null], $first($paint, $soak));
        self::assertSame(['paint', 'in-the-shop', null], $first($soak, $paint));
        self::assertSame(['dry', 'nobody', 'oven'], $first($dry), 'this shop lets its dryer run');
    }

    public function test_other_work_is_done_as_it_is_named(): void
    {
        $steps = $this->told(['station' => 'repair', 'traits' => [], 'here' => ['belt'], 'tasks' => [
            ['name' => 'Change the fan', 'minutes' => 7.2, 'part' => 'fan'],
            ['name' => 'Change the belt', 'minutes' => 0, 'part' => 'belt'],
        ]])['steps'];
        self::assertSame(
            [['Change the fan', 8, 'fan'], ['Change the belt', 1, null]],
            array_map(static fn (array $step): array => [$step['what'], $step['hands'], $step['part']], array_slice($steps, 0, 2)),
        );
    }

    public function test_at_the_counter_and_at_the_door(): void
    {
        self::assertSame(
            ['Safety questions', 'Say what it does', 'Send out'],
            array_column($this->told(['station' => 'intake', 'traits' => []])['steps'], 'what'),
        );
        self::assertSame(
            ['Send out'],
            array_column($this->told(['station' => 'release', 'traits' => [], 'mend' => ['filament-wet']])['steps'], 'what'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'a fault nobody knows' => [['station' => 'repair', 'mend' => ['nothing']], 'mend.0'];
        yield 'a guide nobody knows' => [['station' => 'repair', 'guides' => ['nothing']], 'guides.0'];
        yield 'a proof nobody knows' => [['station' => 'proof', 'owed' => ['nothing']], 'owed.0'];
        yield 'a station that is none' => [['station' => 'kitchen'], 'station'];
        yield 'practice of a guide nobody knows' => [
            ['station' => 'proof', 'people' => [['name' => 'Bo', 'guide' => 'x']]],
            'people.0.guide',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('bad')]
    public function test_bad_input_names_its_field(array $input, string $field): void
    {
        try {
            $this->told($input);
            self::fail('It was taken.');
        } catch (InputError $error) {
            self::assertSame($field, $error->field);
        }
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private function told(array $input): array
    {
        return (new StepsAhead(TradeKnowledge::read()))->compute($input);
    }
}
