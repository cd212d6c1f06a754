<?php

declare(strict_types=1);

namespace App\Stock;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What parts and those that count with them had asked of them, hold, are promised and are owed by suppliers. */
final readonly class StockFigures
{
    private const ROOT = 'coalesce(p.counts_with_id, p.id)';

    /** @param  list<int>|null  $ids  all when nothing is said */
    public function __construct(private ?array $ids)
    {
    }

    /** @return array<int, array<int, int>> part id => weeks ago => how many were taken */
    public function weeks(int $most): array
    {
        $taken = [];
        foreach ($this->only(DB::table('movements AS m')->join('parts AS p', 'p.id', '=', 'm.part_id'))->whereIn('m.kind', ['used', 'returned'])->where('m.at', '>', now()->subWeeks($most))
            ->groupBy('root', 'ago')->selectRaw(self::ROOT.' AS root, floor(extract(epoch FROM ?::timestamptz - m.at) / 604800)::int AS ago, -sum(m.quantity) AS n', [now()->toIso8601String()])->get() as $row) {
            $taken[(int) $row->root][max(0, (int) $row->ago)] = ($taken[(int) $row->root][max(0, (int) $row->ago)] ?? 0) + (int) $row->n;
        }

        return $taken;
    }

    /** @return array<int, int> what nobody has tested is not counted on */
    public function onHand(): array
    {
        return $this->sums($this->only(DB::table('parts AS p'))->where('p.grade', '<>', 'untested'), 'p.on_hand');
    }

    /** @return array<int, int> */
    public function reserved(): array
    {
        return $this->sums($this->only(DB::table('reservations AS r')->join('parts AS p', 'p.id', '=', 'r.part_id')), 'r.quantity');
    }

    /** @return array<int, int> */
    public function onOrder(): array
    {
        return $this->sums($this->only(DB::table('order_lines AS l')->join('orders AS o', 'o.id', '=', 'l.order_id')->join('parts AS p', 'p.id', '=', 'l.part_id'))->whereNull('o.closed_at'), 'greatest(0, l.packs * l.pack - l.received)');
    }

    private function only(Builder $query): Builder
    {
        return $query->when($this->ids !== null, fn (Builder $q): Builder => $q->where(fn (Builder $w): Builder => $w->whereIn('p.id', $this->ids ?? [])->orWhereIn('p.counts_with_id', $this->ids ?? [])));
    }

    /** @return array<int, int> */
    private function sums(Builder $query, string $figure): array
    {
        return $query->groupBy('root')->selectRaw(self::ROOT." AS root, sum({$figure}) AS n")->pluck('n', 'root')->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all();
    }
}
