<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Input\Cells;
use OddBench\Input\InputError;
use OddBench\Stock\Holding;
use OddBench\Stock\StockRow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Rows of tables as spreadsheets write them. */
final class StockRowTest extends TestCase
{
    #[DataProvider('figures')]
    public function test_money_as_it_is_written(string $text, int $minor): void
    {
        self::assertSame($minor, (new Cells(['unit_cost' => $text]))->moneyOrNull('unit_cost'));
    }

    /** @return iterable<array{string, int}> */
    public static function figures(): iterable
    {
        yield ['1.20', 120];
        yield ['1,20', 120];
        yield ['1.234,50', 123450];
        yield ['1,234.50', 123450];
        yield ['1 234,50', 123450];
        yield ["1'234.50", 123450];
        yield ["1\u{202F}234,5", 123450];
        yield ['1,234,567', 123456700];
        yield ['0', 0];
        yield ['.5', 50];
        yield ['12', 1200];
    }

    #[DataProvider('slips')]
    public function test_slips_are_named(string $column, string $text, string $message): void
    {
        $cells = new Cells([$column => $text]);
        $this->expectException(InputError::class);
        $this->expectExceptionMessage($message);
        $column === 'unit_cost' ? $cells->moneyOrNull($column) : $cells->whole($column, $column === 'pack' ? 1 : 0);
    }

    /** @return iterable<array{string, string, string}> */
    public static function slips(): iterable
    {
        yield ['quantity', '2 m', 'has a unit or a word'];
        yield ['quantity', '1.5', 'pieces are whole'];
        yield ['quantity', '-3', 'below zero'];
        yield ['quantity', '', 'quantity is missing'];
        yield ['quantity', '12..5', 'is no figure'];
        yield ['quantity', '99999999999', 'is no figure'];
        yield ['pack', '0', 'at least 1'];
        yield ['unit_cost', '€ 4', 'has a unit or a word'];
        yield ['unit_cost', '-1', 'below zero'];
    }

    public function test_the_first_row_names_the_columns_in_any_order(): void
    {
        self::assertSame(
            [0 => 'bin', 1 => 'number', 3 => 'name', 4 => 'class'],
            StockRow::head('parts', ['Bin', 'NUMBER', 'value', 'name', 'class']),
        );
        self::assertSame([0 => 'supplier_number', 1 => 'on_hand'], StockRow::head('stock', ['Supplier number', 'on-hand']));
        foreach ([
            [['number', 'number'], 'stands twice'],
            [['nmber'], 'Is it “number”?'],
            [['number', 'name', 'bin'], 'lacks the column class'],
        ] as [$head, $message]) {
            try {
                StockRow::head('parts', $head);
                self::fail($message);
            } catch (InputError $e) {
                self::assertStringContainsString($message, $e->getMessage());
            }
        }
    }

    public function test_a_part(): void
    {
        $row = new StockRow(TradeKnowledge::read());
        $read = $row->part([
            'number' => 'A-1',
            'name' => "'=1+1",
            'class' => 'Heat-break fan',
            'bin' => 'd1',
            'supplier' => 'Marram Motion',
            'pack' => '5',
            'pack_cost' => '17,00',
        ]);
        self::assertSame(
            ['A-1', '=1+1', 'heat-break-fan', 'D1', 5, 1700],
            [$read['number'], $read['name'], $read['class'], $read['bin'], $read['pack'], $read['pack_cost']],
            'class by its name, the mark before a formula taken off',
        );
        foreach ([
            ['number' => 'A 1'],
            ['bin' => 'C/4'],
            ['name' => ''],
            ['name' => str_repeat('x', 161)],
            ['supplier' => 'Somebody'],
            ['name' => "\xC3("],
        ] as $wrong) {
            try {
                $row->part($wrong + ['number' => 'A-1', 'name' => 'Fan', 'class' => 'heat-break-fan', 'bin' => 'D1']);
                self::fail((string) json_encode($wrong, JSON_PARTIAL_OUTPUT_ON_ERROR));
            } catch (InputError $e) {
                self::assertNotSame('', $e->field);
            }
        }
    }

    public function test_a_movement(): void
    {
        $row = new StockRow(TradeKnowledge::read());
        self::assertSame('counted', $row->movement(['number' => 'A-1', 'on_hand' => '0'], 'stock')['kind']);
        foreach ([
            [['kind' => 'used', 'quantity' => '1'], 'belongs to a job'],
            [['kind' => 'gone', 'quantity' => '1'], 'no movement “gone”'],
            [['kind' => 'received', 'quantity' => '1'], 'unit_cost is missing'],
            [['kind' => 'scrapped', 'quantity' => '0'], 'at least 1'],
        ] as [$cells, $message]) {
            try {
                $row->movement($cells + ['number' => 'A-1'], 'movements');
                self::fail($message);
            } catch (InputError $e) {
                self::assertStringContainsString($message, $e->getMessage());
            }
        }
    }

    public function test_a_price_far_off_is_odd(): void
    {
        $at = new Holding(10, 1200);
        self::assertSame(
            [false, true, false, true, false],
            array_map(static fn (?int $cost): bool => $at->odd($cost), [2400, 2401, 6, 5, null]),
        );
        self::assertFalse((new Holding(0, 0))->odd(5), 'nothing to hold it against');
    }
}
