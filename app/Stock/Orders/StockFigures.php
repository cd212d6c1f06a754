<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What parts and those that count with them had asked of them, hold, are promised and are owed by suppliers. */
final readonly class StockFigures
{
    private const ROOT = 'coalesce(p.counts_with_id, p.id)';

    /** @var array<int, int> part id => the one it counts with, itself when it counts alone */
    private array $roots;

    /** @param  list<int>  $ids */
    public function __construct(array $ids)
    {
        $roots = array_combine($ids, $ids);
        foreach (DB::table('parts')->whereIntegerInRaw('counts_with_id', $ids)->pluck('counts_with_id', 'id') as $id => $root) {
            $roots[(int) $id] = is_numeric($root) ? (int) $root : (int) $id;
        }
        $this->roots = $roots;
    }

    /**
     * @param  list<int>  $besides  parts of which only what did not go into positions of the farm is counted: of those it is foretold
     * @return array<int, array<int, int>> part id => weeks ago => how many were taken
     */
    public function weeks(int $most, array $besides = []): array
    {
        $apart = array_keys(array_intersect($this->roots, $besides));
        $elsewhere = static fn (Builder $q) => $q->whereNot(
            static fn (Builder $q) => $q->whereNotNull('m.position')->whereExists(
                static fn (Builder $q) => $q->from('jobs AS j')->join('machines AS f', 'f.id', '=', 'j.machine_id')
                    ->whereColumn('j.id', 'm.job_id')->where('f.held_as', 'farm'),
            ),
        );

        return $this->taken($most, array_diff(array_keys($this->roots), $apart))
            + ($apart === [] ? [] : $this->taken($most, $apart, $elsewhere));
    }

    /**
     * @param  array<array-key, int>  $parts
     * @param  (\Closure(Builder): Builder)|null  $only
     * @return array<int, array<int, int>>
     */
    private function taken(int $most, array $parts, ?\Closure $only = null): array
    {
        $byWeek = DB::table('movements AS m')->join('parts AS p', 'p.id', '=', 'm.part_id')
            ->whereIntegerInRaw('p.id', $parts)
            ->whereIn('m.kind', ['used', 'returned'])
            ->when($only !== null, $only)
            ->where('m.at', '>', now()->subWeeks($most))
            ->groupBy('root', 'ago')->selectRaw(
                self::ROOT.' AS root, floor(extract(epoch FROM ?::timestamptz - m.at) / 604800)::int AS ago, -sum(m.quantity) AS n',
                [now()->toIso8601String()],
            );
        // one row a part, for the whole shelf is half a million weeks
        $rows = DB::query()->fromSub($byWeek, 'w')->groupBy('root')
            ->selectRaw("root, string_agg(ago || ' ' || n, ',') AS weeks")
            ->pluck('weeks', 'root');
        $taken = [];
        foreach ($rows as $root => $weeks) {
            foreach (explode(',', is_string($weeks) ? $weeks : '') as $week) {
                [$ago, $n] = [...explode(' ', $week, 2), '0'];
                $taken[(int) $root][max(0, (int) $ago)] = ($taken[(int) $root][max(0, (int) $ago)] ?? 0) + (int) $n;
            }
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
        return $this->sums(
            $this->only(DB::table('order_lines AS l')->join(
                'orders AS o',
                'o.id',
                '=',
                'l.order_id',
            )->join('parts AS p', 'p.id', '=', 'l.part_id'))->whereNull('o.closed_at'),
            'greatest(0, l.packs * l.pack - l.received)',
        );
    }

    private function only(Builder $query): Builder
    {
        return $query->whereIntegerInRaw('p.id', array_keys($this->roots));
    }

    /** @return array<int, int> */
    private function sums(Builder $query, string $figure): array
    {
        return $query->groupBy('root')
            ->selectRaw(self::ROOT." AS root, sum({$figure}) AS n")
            ->pluck('n', 'root')
            ->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)
            ->all();
    }
}
