<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use OddBench\Input\InputError;
use OddBench\Repair\Sequence;
use OddBench\Repair\Teardown;
use OddBench\Repair\TeardownStep;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Worked by hand; the order against every permutation of small teardowns. */
final class TeardownTest extends TestCase
{
    private const COVER = ['id' => 'cover', 'off' => 'Cover', 'fasteners' => [['size' => 'M3x25', 'count' => 2]]];

    private const SHROUD = [
        'id' => 'shroud',
        'off' => 'Fan shroud',
        'fasteners' => [['size' => 'M3x12', 'count' => 4, 'into' => 'plastic', 'engagement_mm' => 8, 'room_mm' => 1]],
    ];

    private const BOARD = [
        'id' => 'board',
        'off' => 'Board',
        'fasteners' => [['size' => 'M2.5x8', 'count' => 2]],
        'connectors' => ['E', 'TH'],
        'parts' => ['socket'],
    ];

    public function test_nothing_back_lists_all_of_it_and_opens_the_last_one_off(): void
    {
        $result = $this->compute([]);

        self::assertSame(['board', 'shroud', 'cover'], array_column($result['reassembly'], 'id'));
        self::assertSame([true, false, false], array_column($result['reassembly'], 'open'));
        self::assertSame(
            ['M3×25' => [2, 0], 'M3×12' => [4, 0], 'M2.5×8' => [2, 0], 'E' => [1, 0], 'TH' => [1, 0], 'socket' => [1, 0]],
            $this->balances($result),
        );
        self::assertFalse($result['complete']);
    }

    public function test_all_as_it_came_out_leaves_nothing(): void
    {
        $result = $this->compute([['id' => 'board'], ['id' => 'shroud'], ['id' => 'cover']]);

        self::assertSame([], $result['differences']);
        self::assertTrue($result['complete']);
    }

    public function test_a_screw_short_is_named_with_its_place(): void
    {
        $result = $this->compute([
            ['id' => 'board', 'fasteners' => [['size' => 'M2.5x8', 'count' => 1]]],
            ['id' => 'shroud'],
            ['id' => 'cover'],
        ]);

        self::assertSame(['M2.5×8' => [2, 1]], $this->balances($result));
        self::assertSame('“Board” is 1 short: one is left in the tray or lost.', $result['differences'][0]['because']);
    }

    /**
     * An M3×16 goes 4 mm further than an M3×12; with 1 mm of room it does not fit. An M3×10 is 2 mm shorter: of 8 mm of
     * thread 6 mm hold, just the two diameters plastic needs.
     *
     * @return iterable<string, array{string, bool}>
     */
    public static function substitutes(): iterable
    {
        yield 'too long' => ['M3x16', false];
        yield 'shorter, and it holds' => ['M3x10', true];
        yield 'too short' => ['M3x8', false];
        yield 'another thread' => ['M4x12', false];
        yield 'countersunk in a plain hole' => ['M3x12 csk', false];
    }

    #[DataProvider('substitutes')]
    public function test_a_substitute_is_judged(string $fitted, bool $safe): void
    {
        $result = $this->compute([
            ['id' => 'board'],
            ['id' => 'shroud', 'fasteners' => [['size' => 'M3x12', 'count' => 3], ['size' => $fitted, 'count' => 1]]],
            ['id' => 'cover'],
        ]);

        self::assertSame($safe, $result['substitutes'][0]['safe'], $result['substitutes'][0]['because']);
        self::assertSame($safe ? [] : ['M3×12'], array_column($result['differences'], 'what'), 'a safe one closes the gap');
    }

    public function test_long_and_short_swapped_between_two_places_balance_and_are_still_wrong(): void
    {
        $steps = [
            ['id' => 'a', 'off' => 'Rail', 'fasteners' => [['size' => 'M3x12', 'count' => 2]]],
            ['id' => 'b', 'off' => 'Foot', 'fasteners' => [['size' => 'M3x16', 'count' => 2]]],
        ];
        $mixed = [['size' => 'M3x12', 'count' => 1], ['size' => 'M3x16', 'count' => 1]];
        $result = (new Teardown)->compute([
            'steps' => $steps,
            'done' => [['id' => 'b', 'fasteners' => $mixed], ['id' => 'a', 'fasteners' => $mixed]],
        ]);

        foreach ($result['differences'] as $difference) {
            self::assertSame($difference['out'], $difference['in'], 'the counts meet');
        }
        self::assertSame(['M3×12', 'M3×16'], array_column($result['differences'], 'what'));
        self::assertFalse($result['complete']);
    }

    public function test_a_screw_missing_on_opening_is_a_finding_and_may_be_made_good(): void
    {
        $steps = [['id' => 'x', 'off' => 'Cover', 'fasteners' => [['size' => 'M3x25', 'count' => 3, 'missing' => 1]]]];
        $three = (new Teardown)->compute(['steps' => $steps, 'done' => [['id' => 'x']]]);
        $four = (new Teardown)->compute(['steps' => $steps, 'done' => [['id' => 'x', 'fasteners' => [['size' => 'M3x25', 'count' => 4]]]]]);

        self::assertSame(['fastener-missing'], $three['findings']);
        self::assertSame([['size' => 'M3×25', 'count' => 1]], $three['missing_on_opening']);
        self::assertTrue($three['complete'], 'as it was found');
        self::assertTrue($four['complete'], 'the empty place was filled');
    }

    public function test_every_plug_and_part_is_accounted_for(): void
    {
        $result = $this->compute([['id' => 'board', 'connectors' => ['E'], 'parts' => []], ['id' => 'shroud'], ['id' => 'cover']]);
        self::assertSame(['TH' => [1, 0], 'socket' => [1, 0]], $this->balances($result));

        $result = $this->compute([
            ['id' => 'board', 'parts' => [['part' => 'socket', 'now' => 'written-off']]],
            ['id' => 'shroud'],
            ['id' => 'cover'],
        ]);
        self::assertTrue($result['complete']);
    }

    public function test_the_first_pass_opens_what_waits_and_the_second_is_still_owed(): void
    {
        $result = $this->compute([['id' => 'board', 'pass' => 'first'], ['id' => 'shroud']]);

        self::assertContains('second pass of “Board”', array_column($result['differences'], 'what'));
        self::assertTrue(array_column($result['reassembly'], 'open', 'id')['cover']);
    }

    public function test_roller_before_belt_whatever_came_off_first(): void
    {
        $steps = [
            ['id' => 'roller', 'off' => 'Roller', 'before' => ['belt']],
            ['id' => 'belt', 'off' => 'Belt', 'after' => []],
        ];
        $result = (new Teardown)->compute(['steps' => $steps]);

        self::assertSame(['roller', 'belt'], array_column($result['reassembly'], 'id'), 'reversal alone would put the belt on first');
        self::assertSame(['roller'], array_column($result['reassembly'], 'needs', 'id')['belt']);
    }

    public function test_independent_steps_go_back_in_any_order(): void
    {
        $steps = [['id' => 'a', 'off' => 'A'], ['id' => 'b', 'off' => 'B', 'after' => []], ['id' => 'c', 'off' => 'C', 'after' => ['a']]];
        $teardown = new Teardown;
        foreach ([['b', 'c', 'a'], ['c', 'b', 'a'], ['c', 'a', 'b']] as $order) {
            self::assertTrue($teardown->compute([
                'steps' => $steps,
                'done' => array_map(static fn (string $id): array => ['id' => $id], $order),
            ])['complete']);
        }
        $this->assertRefused('done.0.id', '“A” goes back only after “C”', ['steps' => $steps, 'done' => [['id' => 'a']]]);
    }

    public function test_the_order_is_one_of_those_allowed_and_the_latest_off_goes_first_where_it_may(): void
    {
        $random = new Randomizer(new Mt19937(20261125));
        for ($round = 0; $round < 60; $round++) {
            $ids = ['a', 'b', 'c', 'd', 'e'];
            $steps = [];
            foreach ($ids as $i => $id) {
                $after = array_values(array_filter(array_slice($ids, 0, $i), static fn (): bool => $random->getInt(0, 2) === 0));
                $steps[] = new TeardownStep($id, $id, after: $after);
            }
            $order = Sequence::of($steps)->order;
            $allowed = array_filter(self::permutations($ids), static function (array $p) use ($steps): bool {
                $at = array_flip($p);
                foreach ($steps as $step) {
                    foreach ($step->after as $other) {
                        if ($at[$step->id] > $at[$other]) {
                            return false;
                        }
                    }
                }

                return true;
            });
            self::assertContains($order, $allowed);
            // of all that may be, the greatest when later letters count as greater: last off, first on
            $greatest = max(array_map(static fn (array $p): string => implode('', $p), $allowed));
            self::assertSame($greatest, implode('', $order));
        }
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function refused(): iterable
    {
        $step = ['id' => 'x', 'off' => 'Cover', 'fasteners' => [['size' => 'M3x12', 'count' => 4]]];
        yield 'no steps' => ['steps', 'at least one thing', ['steps' => []]];
        yield 'a size that cannot be read' => [
            'steps.0.fasteners.0.size',
            'no size that can be read',
            ['steps' => [['id' => 'x', 'off' => 'C', 'fasteners' => [['size' => 'N3', 'count' => 1]]]]],
        ];
        yield 'a count below zero' => [
            'steps.0.fasteners.0.count',
            'from 1 to 200',
            ['steps' => [['id' => 'x', 'off' => 'C', 'fasteners' => [['size' => 'M3x12', 'count' => -1]]]]],
        ];
        yield 'a size twice' => [
            'steps.0.fasteners.1.size',
            'stands twice',
            ['steps' => [[
                'id' => 'x',
                'off' => 'C',
                'fasteners' => [['size' => 'M3x12', 'count' => 1], ['size' => 'M3×12', 'count' => 1]],
            ]]],
        ];
        yield 'two steps of one name' => ['steps.1.id', 'two steps', ['steps' => [$step, $step]]];
        yield 'after a step nobody took' => ['steps.0.after.0', 'no step “y”', ['steps' => [['after' => ['y']] + $step]]];
        yield 'a circle' => [
            'steps',
            'wait for each other',
            ['steps' => [
                ['id' => 'a', 'off' => 'A', 'after' => []],
                ['id' => 'b', 'off' => 'B', 'after' => ['a'], 'before' => []],
                ['id' => 'c', 'off' => 'C', 'after' => ['b']],
                ['id' => 'd', 'off' => 'D', 'after' => [], 'before' => ['c']],
                ['id' => 'e', 'off' => 'E', 'after' => ['d'], 'before' => []],
                ['id' => 'f', 'off' => 'F', 'after' => ['e']],
                ['id' => 'g', 'off' => 'G', 'after' => ['a'], 'before' => ['g2']],
                ['id' => 'g2', 'off' => 'G2', 'after' => ['g']],
                ['id' => 'h', 'off' => 'H', 'after' => [], 'before' => ['h2']],
                ['id' => 'h2', 'off' => 'H2', 'after' => [], 'before' => ['h']],
            ]],
        ];
        yield 'ticked twice' => ['done.1.id', 'ticked twice', ['steps' => [$step], 'done' => [['id' => 'x'], ['id' => 'x']]]];
        yield 'ticked, and never taken off' => ['done.0.id', 'no step “z”', ['steps' => [$step], 'done' => [['id' => 'z']]]];
        yield 'more in than out' => [
            'done.0.fasteners',
            'places for 4',
            ['steps' => [$step], 'done' => [['id' => 'x', 'fasteners' => [['size' => 'M3x12', 'count' => 5]]]]],
        ];
        yield 'in where none came out' => [
            'done.0.fasteners',
            'none came out',
            ['steps' => [['id' => 'x', 'off' => 'Cover']], 'done' => [['id' => 'x', 'fasteners' => [['size' => 'M3x12', 'count' => 1]]]]],
        ];
        yield 'a plug of another step' => [
            'done.0.connectors.0',
            'no socket unplugged',
            ['steps' => [$step], 'done' => [['id' => 'x', 'connectors' => ['TH']]]],
        ];
        yield 'a part of another step' => [
            'done.0.parts',
            'no part taken out',
            ['steps' => [$step], 'done' => [['id' => 'x', 'parts' => [['part' => 'rail', 'now' => 'new']]]]],
        ];
        yield 'a part that became something else' => [
            'done.0.parts.0.now',
            'back, new, written-off',
            ['steps' => [['parts' => ['rail']] + $step], 'done' => [['id' => 'x', 'parts' => [['part' => 'rail', 'now' => 'eaten']]]]],
        ];
        yield 'a key nobody knows' => ['steps.0.colour', 'no field “colour”', ['steps' => [['colour' => 'red'] + $step]]];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_it_refuses(string $field, string $words, array $input): void
    {
        $this->assertRefused($field, $words, $input);
    }

    /** @param  array<string, mixed>  $input */
    private function assertRefused(string $field, string $words, array $input): void
    {
        try {
            (new Teardown)->compute($input);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field, $e->getMessage());
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    /**
     * @param  list<array<string, mixed>>  $done
     * @return array<string, mixed>
     */
    private function compute(array $done): array
    {
        return (new Teardown)->compute(['steps' => [self::COVER, self::SHROUD, self::BOARD], 'done' => $done]);
    }

    /**
     * @param  array<string, mixed>  $result
     * @return array<string, array{int, int}> what => out, in
     */
    private function balances(array $result): array
    {
        $balances = [];
        foreach ($result['differences'] as $difference) {
            $balances[$difference['what']] = [$difference['out'], $difference['in']];
        }

        return $balances;
    }

    /**
     * @param  list<string>  $all
     * @return list<list<string>>
     */
    private static function permutations(array $all): array
    {
        if (count($all) < 2) {
            return [$all];
        }
        $found = [];
        foreach ($all as $i => $first) {
            foreach (self::permutations(array_values(array_diff_key($all, [$i => 0]))) as $rest) {
                $found[] = [$first, ...$rest];
            }
        }

        return $found;
    }
}
