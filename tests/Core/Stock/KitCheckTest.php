<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Input\InputError;
use OddBench\Stock\KitCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked by hand. */
final class KitCheckTest extends TestCase
{
    public function test_all_there(): void
    {
        $result = $this->check(['liner' => 1, 'clip' => 2], [['part' => 'liner', 'free' => 1], ['part' => 'clip', 'free' => 9]]);

        self::assertSame(['can_start' => true, 'short' => [], 'substitutes' => [], 'could_start' => null], $result);
    }

    public function test_a_substitute_fills_what_is_short_in_the_order_named(): void
    {
        $result = $this->check(['wheel' => 4], [
            ['part' => 'wheel', 'free' => 1, 'substitutes' => ['soft', 'hard']],
            ['part' => 'soft', 'free' => 2],
            ['part' => 'hard', 'free' => 7],
        ]);

        self::assertTrue($result['can_start']);
        self::assertSame([['part' => 'wheel', 'by' => 'soft', 'count' => 2], ['part' => 'wheel', 'by' => 'hard', 'count' => 1]], $result['substitutes']);
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
        return (new KitCheck)->compute(['kit' => array_map(static fn (string $part, int $count): array => ['part' => $part, 'count' => $count], array_keys($kit), $kit), 'stock' => $stock]);
    }
}
