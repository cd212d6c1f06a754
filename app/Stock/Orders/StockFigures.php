<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What parts and those that count with them had asked of them, hold, are promised and are owed by suppliers. */
final readonly class StockFigures
{
    private const ROOT = 'coalesce(p.counts_with_id, p.id)';

    /** @var list<int> with those that count with them */
    private array $ids;

    /** @param  list<int>  $ids */
    public function __construct(array $ids)
    {
        $this->ids = [
            ...$ids,
            ...array_map(
                intval(...),
                array_filter(DB::table('parts')->whereIn('counts_with_id', $ids)->pluck('id')->all(), is_numeric(...)),
            ),
        ];
    }

    /**
     * @param  list<int>  $besides  parts of which only what did not go into positions of the farm is counted: of those it is foretold
     * @return array<int, array<int, int>> part id => weeks ago => how many were taken
     */
    public function weeks(int $most, array $besides = []): array
    {
        $byWeek = $this->only(DB::table('movements AS m')->join('parts AS p', 'p.id', '=', 'm.part_id'))
            ->whereIn('m.kind', ['used', 'returned'])
            ->when($besides !== [], static fn (Builder $q) => $q->whereNot(
                static fn (Builder $q) => $q->whereIn(DB::raw(self::ROOT), $besides)->whereNotNull('m.position')->whereExists(
                    static fn (Builder $q) => $q->from('jobs AS j')->join('machines AS f', 'f.id', '=', 'j.machine_id')
                        ->whereColumn('j.id', 'm.job_id')->where('f.held_as', 'farm'),
                ),
            ))
            ->where('m.at', '>', now()->subWeeks($most))
            ->groupBy('root', 'ago')->selectRaw(
                self::ROOT.' AS root, floor(extract(epoch FROM ?::timestamptz - m.at) / 604800)::int AS ago, -sum(m.quantity) AS n',
                [now()->toIso8601String()],
            );
        $taken = [];
        // one row a part, for the whole shelf is half a million weeks
        foreach (DB::query()->fromSub($byWeek, 'w')->groupBy('root')->selectRaw("root, string_agg(ago || ' ' || n, ',') AS weeks")->pluck('weeks', 'root') as $root => $weeks) {
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
        return $query->whereIntegerInRaw('p.id', $this->ids);
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
