<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Input\Cells;
use OddBench\Input\InputError;
use OddBench\Input\TableHead;
use OddBench\Knowledge\Knowledge;

/** Reads the rows of the three tables that come in and go out: parts, stock, movements. */
final readonly class StockRow
{
    /** kind of table => column => whether it must be there */
    public const COLUMNS = [
        'parts' => [
            'number' => true,
            'name' => true,
            'class' => true,
            'bin' => true,
            'words' => false,
            'notes' => false,
            'shelf_life_weeks' => false,
            'supplier' => false,
            'supplier_number' => false,
            'pack' => false,
            'pack_cost' => false,
        ],
        'stock' => ['number' => false, 'supplier_number' => false, 'bin' => false, 'on_hand' => true, 'unit_cost' => false],
        'movements' => [
            'number' => false,
            'supplier_number' => false,
            'kind' => true,
            'quantity' => true,
            'unit_cost' => false,
            'bin' => false,
            'batch' => false,
            'note' => false,
        ],
    ];

    /** columns that are written out for people to read and are not read back */
    public const READ_ONLY = ['class_name', 'on_hand_all', 'value', 'reserved', 'at', 'by', 'job', 'machine', 'position', 'name', 'grade'];

    public const KINDS = ['received', 'scrapped', 'counted'];

    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  list<string>  $head  columns as they stand in the file
     * @return array<int, string> place => column, those that are read
     *
     * @throws InputError for a column that is not known, twice there or missing
     */
    public static function head(string $kind, array $head): array
    {
        $known = self::COLUMNS[$kind] ?? throw InputError::unknown('kind', 'table', $kind, array_keys(self::COLUMNS));
        $columns = TableHead::read($known, self::READ_ONLY, "a table of {$kind}", $head);
        if ($kind !== 'parts' && ! in_array('number', $columns, true) && ! in_array('supplier_number', $columns, true)) {
            throw InputError::at('file', 'The first row lacks the column number, or supplier_number, that says which part is meant.');
        }

        return $columns;
    }

    /**
     * @param  array<string, string>  $cells
     * @return array{number: string, name: string, class: string, bin: string, words: string, notes: string|null, shelf_life_weeks: int|null, supplier: string|null, supplier_number: string|null, pack: int|null, pack_cost: int|null}
     */
    public function part(array $cells): array
    {
        $row = new Cells($cells);
        $class = $row->text('class', 40);
        if (! isset($this->knowledge->partClasses[$class])) {
            $class = array_search(
                mb_strtolower($class),
                array_map(mb_strtolower(...), $this->knowledge->partClasses),
                true,
            ) ?: throw InputError::unknown('class', 'part class', $class, array_keys($this->knowledge->partClasses));
        }
        $supplier = $row->textOrNull('supplier', 120);
        $pack = $row->wholeOrNull('pack', 1);
        $cost = $row->moneyOrNull('pack_cost');
        if ($supplier !== null && ($pack === null || $cost === null)) {
            throw InputError::at('pack_cost', 'A part that is bought from somebody has a pack and a pack_cost.');
        }
        $life = $row->wholeOrNull('shelf_life_weeks', 1);
        if ($life !== null && $life > 1040) {
            throw InputError::at('shelf_life_weeks', 'shelf_life_weeks: nothing is kept for more than 1040 weeks.');
        }

        return [
            'number' => $this->number($row->text('number', 28)),
            'name' => $row->text('name', 160),
            'class' => $class,
            'bin' => $this->bin($row->text('bin', 12)),
            'words' => $row->textOrNull('words', 300) ?? '',
            'notes' => $row->textOrNull('notes', 2000),
            'shelf_life_weeks' => $life,
            'supplier' => $supplier,
            'supplier_number' => $row->textOrNull('supplier_number', 60),
            'pack' => $pack,
            'pack_cost' => $cost,
        ];
    }

    /**
     * @param  array<string, string>  $cells
     * @return array{number: string|null, supplier_number: string|null, bin: string|null, kind: string, quantity: int, unit_cost: int|null, batch: string|null, note: string|null}
     */
    public function movement(array $cells, string $table): array
    {
        $row = new Cells($cells);
        $number = $row->textOrNull('number', 30);
        $theirs = $row->textOrNull('supplier_number', 60);
        if ($number === null && $theirs === null) {
            throw InputError::at('number', 'Which part? Give its number, or its supplier’s.');
        }
        $kind = $table === 'stock' ? 'counted' : mb_strtolower($row->text('kind', 12));
        if (! in_array($kind, self::KINDS, true)) {
            throw InputError::at('kind', in_array($kind, ['used', 'returned', 'salvaged', 'made', 'moved'], true)
                ? "“{$kind}” belongs to a job or a machine and is done there; a file brings received, scrapped and counted."
                : "There is no movement “{$kind}”. A file brings received, scrapped and counted.");
        }
        $quantity = $row->whole($table === 'stock' ? 'on_hand' : 'quantity', $kind === 'counted' ? 0 : 1);
        $cost = $row->moneyOrNull('unit_cost');
        if ($kind === 'received' && $cost === null) {
            throw InputError::at('unit_cost', 'What did one cost? unit_cost is missing.');
        }
        $bin = $row->textOrNull('bin', 12);

        return [
            'number' => $number,
            'supplier_number' => $theirs,
            'bin' => $bin === null ? null : $this->bin($bin),
            'kind' => $kind,
            'quantity' => $quantity,
            'unit_cost' => $cost,
            'batch' => $row->textOrNull('batch', 40),
            'note' => $row->textOrNull('note', 200),
        ];
    }

    private function number(string $number): string
    {
        return preg_match('/^[A-Za-z0-9][A-Za-z0-9.\-]*$/', $number) === 1 ? $number : throw InputError::at(
            'number',
            'A part number is made of letters, digits, dots and dashes.',
        );
    }

    private function bin(string $bin): string
    {
        return preg_match('/^[A-Za-z0-9][A-Za-z0-9\-]*$/', $bin) === 1 ? mb_strtoupper($bin) : throw InputError::at(
            'bin',
            'A bin is made of letters, digits and dashes, such as C4.',
        );
    }
}
