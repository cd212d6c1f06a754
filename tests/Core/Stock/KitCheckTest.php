<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Input\InputError;
use OddBench\Stock\KitCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Worked by hand. */
final class KitCheckTest extends TestCase
{
    public function test_all_there(): void
    {
        $result = $this->check(['liner' => 1, 'clip' => 2], [['part' => 'liner', 'free' => 1], ['part' => 'clip', 'free' => 9]]);

        self::assertSame(
            ['can_start' => true, 'short' => [], 'substitutes' => [], 'could_start' => null, 'times' => 1, 'shortest' => ['liner']],
            $result,
        );
    }

    public function test_a_kit_of_nothing_and_one_beyond_any_bench_are_refused(): void
    {
        $refused = static function (array $input): string {
            try {
                (new KitCheck)->compute($input);
            } catch (InputError $e) {
                return $e->field;
            }

            return '';
        };
        self::assertSame('kit', $refused(['kit' => [], 'stock' => []]));
        self::assertSame('kit', $refused([]));
        self::assertSame(
            'stock',
            $refused([
                'kit' => [['part' => 'a', 'count' => 1]],
                'stock' => [[
                    'part' => 'a',
                    'free' => 0,
                    'substitutes' => array_map(static fn (int $i): string => "s{$i}", range(1, 5001)),
                ]],
            ]),
        );
    }

    public function test_a_million_of_each_are_moved_at_once(): void
    {
        // a takes s or t, b only s: 1,000 of a and b each, 1,000 of s and a million of t
        $result = (new KitCheck)->compute(['kit' => [['part' => 'a', 'count' => 1000], ['part' => 'b', 'count' => 1000]], 'stock' => [
            ['part' => 'a', 'free' => 0, 'substitutes' => ['s', 't']],
            ['part' => 'b', 'free' => 0, 'substitutes' => ['s']],
            ['part' => 's', 'free' => 1_000_000],
            ['part' => 't', 'free' => 1_000_000],
        ]]);

        self::assertSame([true, 1000], [$result['can_start'], $result['times']]);
    }

    public function test_a_substitute_fills_what_is_short_in_the_order_named(): void
    {
        $result = $this->check(['wheel' => 4], [
            ['part' => 'wheel', 'free' => 1, 'substitutes' => ['soft', 'hard']],
            ['part' => 'soft', 'free' => 2],
            ['part' => 'hard', 'free' => 7],
        ]);

        self::assertTrue($result['can_start']);
        self::assertSame(
            [['part' => 'wheel', 'by' => 'soft', 'count' => 2], ['part' => 'wheel', 'by' => 'hard', 'count' => 1]],
            $result['substitutes'],
        );
    }

    public function test_a_part_is_its_own_first_and_a_substitute_afterwards(): void
    {
        // two long ones are needed themselves; only the third may stand in for the short one
        $result = $this->check(['short' => 2, 'long' => 2], [
            ['part' => 'short', 'free' => 0, 'substitutes' => ['long'], 'due' => '2026-12-01'],
            ['part' => 'long', 'free' => 3],
        ]);

        self::assertSame([['part' => 'short', 'by' => 'long', 'count' => 1]], $result['substitutes']);
        self::assertSame([['part' => 'short', 'count' => 1, 'due' => '2026-12-01']], $result['short']);
    }

    public function test_it_could_start_when_the_last_of_what_is_short_arrives(): void
    {
        $stock = [['part' => 'a', 'free' => 0, 'due' => '2026-12-03'], ['part' => 'b', 'free' => 0, 'due' => '2026-11-28']];
        self::assertSame('2026-12-03', $this->check(['a' => 1, 'b' => 1], $stock)['could_start']);

        $stock[] = ['part' => 'c', 'free' => 0];
        self::assertNull($this->check(['a' => 1, 'b' => 1, 'c' => 1], $stock)['could_start'], 'nobody has ordered c');
        self::assertNull($this->check(['unknown' => 1], [])['could_start']);
    }

    public function test_a_substitute_is_not_wasted_on_a_part_that_has_another(): void
    {
        // b is asked for first and may take x or y; a has x alone
        $result = $this->check(
            ['b' => 1, 'a' => 1],
            [
                ['part' => 'b', 'free' => 0, 'substitutes' => ['x', 'y']],
                ['part' => 'a', 'free' => 0, 'substitutes' => ['x']],
                ['part' => 'x', 'free' => 1],
                ['part' => 'y', 'free' => 1],
            ],
        );

        self::assertTrue($result['can_start']);
        self::assertSame([['part' => 'b', 'by' => 'y', 'count' => 1], ['part' => 'a', 'by' => 'x', 'count' => 1]], $result['substitutes']);
    }

    public function test_a_part_gives_way_when_it_has_a_substitute_and_the_other_has_not(): void
    {
        $result = $this->check(
            ['a' => 1, 'b' => 1],
            [
                ['part' => 'a', 'free' => 1, 'substitutes' => ['c']],
                ['part' => 'b', 'free' => 0, 'substitutes' => ['a']],
                ['part' => 'c', 'free' => 1],
            ],
        );

        self::assertTrue($result['can_start']);
    }

    /** Small kits against every way of giving parts out. */
    public function test_as_many_are_supplied_as_any_way_of_giving_could(): void
    {
        $random = new Randomizer(new Mt19937(20261125));
        for ($round = 0; $round < 300; $round++) {
            $names = ['p', 'q', 'r', 's'];
            $kit = $free = $substitutes = [];
            foreach ($names as $name) {
                if ($random->getInt(0, 2) > 0) {
                    $kit[$name] = $random->getInt(1, 2);
                }
                $free[$name] = $random->getInt(0, 2);
                $substitutes[$name] = array_values(array_filter(
                    $names,
                    static fn (string $other): bool => $other !== $name && $random->getInt(0, 2) === 0,
                ));
            }
            $result = (new KitCheck)->check($kit, $free, $substitutes, []);
            $units = array_merge(
                [],
                ...array_map(static fn (string $part, int $n): array => array_fill(0, $n, $part), array_keys($kit), $kit),
            );

            self::assertSame(self::most($units, $free, $substitutes), count($units) - array_sum(array_column($result['short'], 'count')));
        }
    }

    /**
     * @param  list<string>  $units
     * @param  array<string, int>  $free
     * @param  array<string, list<string>>  $substitutes
     */
    private static function most(array $units, array $free, array $substitutes): int
    {
        if ($units === []) {
            return 0;
        }
        $part = array_shift($units);
        $best = self::most($units, $free, $substitutes);
        foreach ([$part, ...$substitutes[$part]] as $from) {
            if ($free[$from] > 0) {
                $best = max($best, 1 + self::most($units, [$from => $free[$from] - 1] + $free, $substitutes));
            }
        }

        return $best;
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function refused(): iterable
    {
        yield 'none of it' => ['kit.0.count', ['kit' => [['part' => 'a', 'count' => 0]]]];
        yield 'half of one' => ['kit.0.count', ['kit' => [['part' => 'a', 'count' => 1.5]]]];
        yield 'a part twice' => ['kit.1.part', ['kit' => [['part' => 'a', 'count' => 1], ['part' => 'a', 'count' => 1]]]];
        yield 'below zero on the shelf' => ['stock.0.free', ['kit' => [], 'stock' => [['part' => 'a', 'free' => -1]]]];
        yield 'a day that is none' => ['stock.0.due', ['kit' => [], 'stock' => [['part' => 'a', 'free' => 0, 'due' => '2026-02-30']]]];
        yield 'a shelf twice' => ['stock.1.part', ['kit' => [], 'stock' => [['part' => 'a', 'free' => 0], ['part' => 'a', 'free' => 1]]]];
        yield 'a key nobody knows' => ['kits', ['kits' => []]];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_it_refuses(string $field, array $input): void
    {
        try {
            (new KitCheck)->compute($input);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /**
     * @param  array<string, int>  $kit
     * @param  list<array<string, mixed>>  $stock
     * @return array<string, mixed>
     */
    private function check(array $kit, array $stock): array
    {
        return (new KitCheck)->compute([
            'kit' => array_map(static fn (string $part, int $count): array => ['part' => $part, 'count' => $count], array_keys($kit), $kit),
            'stock' => $stock,
        ]);
    }
}
