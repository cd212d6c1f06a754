<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Shop\Person;
use App\Stock\Orders\Supply;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Movement;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Stock\Holding;
use OddBench\Stock\StockRow;

/** Counts, receipts and scrap from a table. Levels run along from row to row, so that no row goes below zero. */
final class ImportMovements implements ImportTable
{
    /** @var array<int, Holding> part id => as it is after the rows so far */
    private array $holdings = [];

    /** @var array<string, int> part id and bin => how many after the rows so far */
    private array $bins = [];

    /** @var array<int, array{id: int, number: string, name: string, bin: string}> part id => */
    private array $parts = [];

    /** @var array<int, array<string, mixed>> line => the movement it becomes */
    private array $moves = [];

    /** @var array<string, int> part and bin => the line it was counted in */
    private array $counted = [];

    /** @param  'stock'|'movements'  $table */
    public function __construct(private readonly StockRow $reader, private readonly string $table, private readonly Person $by)
    {
    }

    public function read(array $rows): array
    {
        $read = [];
        foreach ($rows as $line => $cells) {
            try {
                $read[$line] = $this->reader->movement($cells, $this->table);
            } catch (InputError $e) {
                $read[$line] = $e;
            }
        }

        return $this->resolve($read);
    }

    public function fates(array $rows): array
    {
        $this->moves = [];
        $fates = [];
        foreach ($rows as $line => $row) {
            /**
             * @var array{part_id: int, bin: string|null, kind: string, quantity: int, unit_cost: int|null, batch: string|null, note: string|null} $row
             */
            $fates[$line] = $this->fate($line, $row);
        }

        return $fates;
    }

    public function write(array $rows): void
    {
        $moves = array_values(array_intersect_key($this->moves, $rows));
        if ($moves === []) {
            return;
        }
        $now = now();
        $bins = $parts = [];
        foreach ($moves as $i => $move) {
            $id = is_int($move['part_id']) ? $move['part_id'] : 0;
            $moves[$i] = [...$move, 'person_id' => $this->by->id, 'at' => $now];
            $bin = is_string($move['bin']) ? $move['bin'] : '';
            $bins["{$id} {$bin}"] = ['part_id' => $id, 'bin' => $bin, 'on_hand' => $this->bins["{$id} {$bin}"]];
            $parts[] = $id;
        }
        Movement::query()->insert($moves);
        DB::table('bin_stocks')->upsert(array_values($bins), ['part_id', 'bin'], ['on_hand']);
        $parts = array_values(array_unique($parts));
        DB::update('UPDATE parts SET on_hand = v.on_hand::int, value_minor = v.value::bigint, updated_at = ? FROM (VALUES '.implode(
            ', ',
            array_fill(0, count($parts), '(?, ?, ?)'),
        ).') AS v (id, on_hand, value) WHERE parts.id = v.id::bigint',
            array_merge([now()], ...array_map(fn (int $id): array => [$id, $this->holdings[$id]->count, $this->holdings[$id]->value], $parts)));
    }

    /**
     * @param  array{part_id: int, bin: string|null, kind: string, quantity: int, unit_cost: int|null, batch: string|null, note: string|null}  $row
     */
    private function fate(int $line, array $row): RowFate
    {
        $id = $row['part_id'];
        $part = $this->parts[$id];
        $bin = $row['bin'] ?? $part['bin'];
        $key = "{$id} {$bin}";
        $there = $this->bins[$key] ?? 0;
        $holding = $this->holdings[$id];
        $what = "{$part['number']}, {$part['name']}, bin {$bin}";
        if ($row['kind'] === 'counted' && isset($this->counted[$key])) {
            return new RowFate('wrong', $what, "It was counted in line {$this->counted[$key]} already.", 'number');
        }
        $change = match ($row['kind']) {
            'received' => $row['quantity'], 'scrapped' => -$row['quantity'], default => $row['quantity'] - $there
        };
        if ($there + $change < 0) {
            return new RowFate(
                'wrong',
                $what,
                "There are {$there} in bin {$bin}, and {$row['quantity']} would leave it.",
                $this->table === 'stock' ? 'on_hand' : 'quantity',
            );
        }
        if ($row['kind'] === 'counted') {
            $this->counted[$key] = $line;
        }
        if ($change === 0) {
            return new RowFate('same', $what, "{$there} as it is");
        }
        $value = $change > 0 && $row['unit_cost'] !== null ? $change * $row['unit_cost'] : null;
        $after = $holding->after($change, $value);
        $this->moves[$line] = [
            'part_id' => $id,
            'kind' => $row['kind'],
            'quantity' => $change,
            'value_minor' => $after->value - $holding->value,
            'bin' => $bin,
            'batch' => $row['batch'],
            'note' => $row['note'] ?? 'from a table',
        ];
        $this->holdings[$id] = $after;
        $this->bins[$key] = $there + $change;
        $said = sprintf('%+d, then %d in the bin', $change, $there + $change);

        return $holding->odd($row['unit_cost'])
            ? new RowFate(
                'odd',
                $what,
                sprintf(
                    '%s. One costs %.2f on the shelf and %.2f here: the price of a pack, or in cents?',
                    $said,
                    $holding->each() / 100,
                    $row['unit_cost'] / 100,
                ),
                'unit_cost',
            )
            : new RowFate('moves', $what, $said);
    }

    /**
     * Which part is meant, and how it stands, fetched for all rows at once and under lock.
     *
     * @param  array<int, array<string, mixed>|InputError>  $read
     * @return array<int, array<string, mixed>|InputError>
     */
    private function resolve(array $read): array
    {
        $sound = array_filter($read, is_array(...));
        $numbers = array_values(array_filter(array_column($sound, 'number'), is_string(...)));
        $theirs = array_values(array_filter(
            array_column(array_filter($sound, static fn (array $row): bool => $row['number'] === null), 'supplier_number'),
            is_string(...),
        ));
        $supplies = Supply::query()->whereIn('number', $theirs)->get(['number', 'part_id'])->groupBy('number');
        $parts = Part::query()->where(static fn ($q) => $q->whereIn('number', $numbers)->orWhereIn(
            'id',
            $supplies->flatten()->pluck('part_id'),
        ))
            ->orderBy('id')
            ->lockForUpdate()
            ->get(['id', 'number', 'name', 'bin', 'on_hand', 'value_minor']);
        foreach ($parts as $part) {
            $this->parts[$part->id] = ['id' => $part->id, 'number' => $part->number, 'name' => $part->name, 'bin' => $part->bin];
            $this->holdings[$part->id] ??= $part->holding();
        }
        foreach (DB::table('bin_stocks')->whereIn('part_id', $parts->pluck('id'))->get() as $row) {
            $this->bins["{$row->part_id} {$row->bin}"] ??= (int) $row->on_hand;
        }
        $byNumber = $parts->keyBy('number');
        foreach ($sound as $line => $row) {
            if (is_string($row['number'])) {
                $id = $byNumber->get($row['number'])?->id;
                $wrong = InputError::at(
                    'number',
                    "There is no part “{$row['number']}” on the shelf. Bring the parts in first, or correct the number.",
                );
            } else {
                $own = $supplies->get(is_string($row['supplier_number']) ? $row['supplier_number'] : '');
                $id = $own?->count() === 1 ? $own->first()?->part_id : null;
                $wrong = InputError::at(
                    'supplier_number',
                    $own === null
                        ? "No supplier is known to sell anything under “{$row['supplier_number']}”. Say at the part where it is bought, or give our number."
                        : "“{$row['supplier_number']}” is a number of several parts. Give our number.",
                );
            }
            $read[$line] = $id === null ? $wrong : [...$row, 'part_id' => $id];
        }

        return $read;
    }
}
