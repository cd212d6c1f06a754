<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Stock\Orders\Supplier;
use App\Stock\Orders\Supply;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Input\Nearest;
use OddBench\Stock\StockRow;

/** Parts from a table: new ones are made known, known ones changed, with where they are bought. */
final class ImportParts implements ImportTable
{
    private const KEPT = ['name', 'class', 'bin', 'words', 'notes', 'shelf_life_weeks'];

    /** @var array<string, int> number in small letters => the line it stood in */
    private array $seen = [];

    /** @var array<string, int> name in small letters => id */
    private array $suppliers = [];

    /** @var list<string> columns the table has; what it has no column for stays as it is */
    private array $columns = [];

    public function __construct(private readonly StockRow $reader)
    {
        foreach (Supplier::query()->get(['id', 'name']) as $supplier) {
            $this->suppliers[mb_strtolower($supplier->name)] = $supplier->id;
        }
    }

    public function read(array $rows): array
    {
        $read = [];
        foreach ($rows as $line => $cells) {
            $this->columns = array_keys($cells);
            try {
                $part = $this->reader->part($cells);
                $key = mb_strtolower($part['number']);
                if (isset($this->seen[$key])) {
                    throw InputError::at('number', "“{$part['number']}” stands in line {$this->seen[$key]} already.");
                }
                if ($part['supplier'] !== null && ! isset($this->suppliers[mb_strtolower($part['supplier'])])) {
                    $nearest = Nearest::to($part['supplier'], array_values(array_filter(Supplier::query()->pluck('name')->all(), is_string(...))));
                    throw InputError::at('supplier', "There is no supplier “{$part['supplier']}”.".($nearest === null ? ' Make it known at one part first; its days are not in a table.' : " Is it “{$nearest}”?"));
                }
                $this->seen[$key] = $line;
                $read[$line] = $part;
            } catch (InputError $e) {
                $read[$line] = $e;
            }
        }

        return $read;
    }

    public function fates(array $rows): array
    {
        $known = $this->known($rows);
        $bought = $this->bought($known);
        $fates = [];
        foreach ($rows as $line => $row) {
            $part = $known[mb_strtolower(self::text($row, 'number'))] ?? null;
            $what = self::text($row, 'number').', '.self::text($row, 'name');
            if ($part === null) {
                $fates[$line] = new RowFate('new', $what);

                continue;
            }
            $changes = array_values(array_filter($this->kept(), static fn (string $column): bool => $part->{$column} != $row[$column]));
            $supply = $bought[$part->id.' '.($this->suppliers[mb_strtolower(self::text($row, 'supplier'))] ?? 0)] ?? null;
            if (($row['supplier'] ?? null) !== null && ($supply === null || ($this->has('supplier_number') && $supply->number !== $row['supplier_number']) || $supply->pack !== $row['pack'] || $supply->pack_cost_minor !== $row['pack_cost'])) {
                $changes[] = 'where it is bought';
            }
            $fates[$line] = match (true) {
                $part->grade !== 'new' => new RowFate('wrong', $what, 'This is the number of a used part, which is kept with the new one.', 'number'),
                $changes === [] => new RowFate('same', $what),
                // its stock lies in the bin it lies in; only its home changes
                default => new RowFate('changed', $what, implode(', ', $changes)),
            };
        }

        return $fates;
    }

    public function write(array $rows): void
    {
        $now = now();
        $parts = [];
        foreach ($rows as $row) {
            $number = self::text($row, 'number');
            $parts[] = [...array_intersect_key($row, array_flip(self::KEPT)), 'number' => $number, 'created_at' => $now, 'updated_at' => $now];
        }
        Part::query()->upsert($parts, ['number'], [...$this->kept(), 'updated_at', 'version' => DB::raw('parts.version + 1')]);
        PartChoice::sorted();
        $ids = Part::query()->whereIn('number', array_column($parts, 'number'))->pluck('id', 'number');
        $supplies = [];
        foreach ($rows as $row) {
            if (($row['supplier'] ?? null) !== null) {
                $supplies[] = [$ids[self::text($row, 'number')], $this->suppliers[mb_strtolower(self::text($row, 'supplier'))], $row['supplier_number'], $row['pack'], $row['pack_cost']];
            }
        }
        if ($supplies !== []) {
            $this->sell($supplies);
        }
        Part::index(array_values(array_map(intval(...), array_filter($ids->all(), is_numeric(...)))));
    }

    /** @param  list<list<mixed>>  $supplies  part, supplier, its number, pack, what a pack costs */
    private function sell(array $supplies): void
    {
        DB::insert('INSERT INTO supplies (part_id, supplier_id, number, pack, pack_cost_minor, preferred)
            SELECT v.part_id::bigint, v.supplier_id::bigint, v.number, v.pack::int, v.cost::bigint, NOT EXISTS (SELECT 1 FROM supplies s WHERE s.part_id = v.part_id::bigint AND s.preferred AND s.supplier_id <> v.supplier_id::bigint)
            FROM (VALUES '.implode(', ', array_fill(0, count($supplies), '(?, ?, ?, ?, ?)')).') AS v (part_id, supplier_id, number, pack, cost)
            ON CONFLICT (part_id, supplier_id) DO UPDATE SET number = '.($this->has('supplier_number') ? 'excluded.number' : 'supplies.number').', pack = excluded.pack, pack_cost_minor = excluded.pack_cost_minor,
                was_minor = CASE WHEN supplies.pack_cost_minor <> excluded.pack_cost_minor THEN supplies.pack_cost_minor ELSE supplies.was_minor END,
                changed_at = CASE WHEN supplies.pack_cost_minor <> excluded.pack_cost_minor THEN now() ELSE supplies.changed_at END,
                preferred = supplies.preferred', array_merge(...$supplies));
    }

    /** @return list<string> what of a part the table speaks of */
    private function kept(): array
    {
        return array_values(array_intersect(self::KEPT, $this->columns));
    }

    private function has(string $column): bool
    {
        return in_array($column, $this->columns, true);
    }

    /**
     * @param  array<int, array<string, mixed>>  $rows
     * @return array<string, Part> number in small letters =>
     */
    private function known(array $rows): array
    {
        return Part::query()->whereIn('number', array_map(static fn (array $row): string => self::text($row, 'number'), $rows))->get()->keyBy(static fn (Part $p): string => mb_strtolower($p->number))->all();
    }

    /**
     * @param  array<string, Part>  $known
     * @return array<string, Supply> part and supplier =>
     */
    private function bought(array $known): array
    {
        return Supply::query()->whereIn('part_id', array_map(static fn (Part $p): int => $p->id, $known))->get()->keyBy(static fn (Supply $s): string => "{$s->part_id} {$s->supplier_id}")->all();
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $column): string
    {
        return is_string($row[$column] ?? null) ? $row[$column] : '';
    }
}
