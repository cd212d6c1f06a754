<?php

declare(strict_types=1);

namespace App\Stock;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\LeadTime;
use OddBench\Stock\Reorder;

/** What stands in stock against what is going to be asked for, part by part. */
final readonly class ReorderQuery
{
    private const WEEKS = 52;

    /** What it costs to write, watch and unpack an order, in minutes of hands. */
    private const ORDER_MINUTES = 12;

    /** A part in a bin costs a fifth of its price a year: money, room, what goes out of use (from memory). */
    private const HOLDING_PCT = 20.0;

    public function __construct(private Knowledge $knowledge, private LeadTimes $leadTimes)
    {
    }

    /**
     * @param  list<int>|null  $partIds  all when nothing is said
     * @return Collection<int, Judged> part id =>; those that are bought somewhere
     */
    public function of(?array $partIds, int $benchMinuteMinor): Collection
    {
        $supplies = Supply::query()->with(['part', 'supplier'])->when($partIds !== null, fn ($q) => $q->whereIn('part_id', $partIds ?? []))->get();
        $ids = $partIds === null ? null : $supplies->pluck('part_id')->all();
        $weeks = $this->weeks($ids);
        $reserved = $this->sums('reservations', 'quantity', $ids);
        $onOrder = $this->onOrder($ids);
        $leads = $this->leadTimes->all();

        return $supplies->keyBy('part_id')->map(fn (Supply $s): Judged => $this->judge($s, $weeks[$s->part_id] ?? [], $reserved[$s->part_id] ?? 0, $onOrder[$s->part_id] ?? 0, $leads[$s->supplier_id], $benchMinuteMinor));
    }

    /** @param  array<int, int>  $weeks */
    private function judge(Supply $supply, array $weeks, int $reserved, int $onOrder, LeadTime $lead, int $benchMinuteMinor): Judged
    {
        $known = max(1, min(self::WEEKS, (int) ceil($supply->part->created_at->diffInDays(now()) / 7)));
        $history = [];
        for ($ago = $known - 1; $ago >= 0; $ago--) {
            $history[] = max(0, $weeks[$ago] ?? 0);
        }
        $stocking = $this->knowledge->stocking($supply->part->class);
        $result = (new Reorder)->compute([
            'history' => $history, 'lead_time_weeks' => min(104.0, $lead->meanWeeks()), 'lead_time_sd_weeks' => min(104.0, $lead->sdWeeks()), 'service_level' => $stocking->serviceLevel, 'pack_size' => $supply->pack,
            'on_hand' => $supply->part->on_hand, 'reserved' => $reserved, 'on_order' => $onOrder, 'order_cost' => self::ORDER_MINUTES * $benchMinuteMinor / 100, 'holding_pct_year' => self::HOLDING_PCT,
            'unit_cost' => max(0.01, $supply->pack_cost_minor / $supply->pack / 100), ...($stocking->shelfLifeWeeks === null ? [] : ['shelf_life_weeks' => $stocking->shelfLifeWeeks]),
        ]);

        return new Judged($supply, $reserved, $onOrder, $lead, $history, $result);
    }

    /**
     * @param  list<mixed>|null  $ids
     * @return array<int, array<int, int>> part id => weeks ago => how many were taken
     */
    private function weeks(?array $ids): array
    {
        $weeks = [];
        foreach (DB::table('movements')->whereIn('kind', ['used', 'returned'])->where('at', '>', now()->subWeeks(self::WEEKS))->when($ids !== null, fn ($q) => $q->whereIn('part_id', $ids ?? []))
            ->groupBy('part_id', 'ago')->selectRaw('part_id, floor(extract(epoch FROM ?::timestamptz - at) / 604800)::int AS ago, -sum(quantity) AS taken', [now()->toIso8601String()])->get() as $row) {
            $weeks[(int) $row->part_id][max(0, (int) $row->ago)] = (int) $row->taken;
        }

        return $weeks;
    }

    /**
     * @param  list<mixed>|null  $ids
     * @return array<int, int>
     */
    private function sums(string $table, string $column, ?array $ids): array
    {
        return DB::table($table)->when($ids !== null, fn ($q) => $q->whereIn('part_id', $ids ?? []))->groupBy('part_id')->selectRaw("part_id, sum({$column}) AS n")->pluck('n', 'part_id')->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all();
    }

    /**
     * @param  list<mixed>|null  $ids
     * @return array<int, int>
     */
    private function onOrder(?array $ids): array
    {
        return DB::table('order_lines')->join('orders', 'orders.id', '=', 'order_lines.order_id')->whereNull('orders.closed_at')->when($ids !== null, fn ($q) => $q->whereIn('part_id', $ids ?? []))
            ->groupBy('part_id')->selectRaw('part_id, sum(greatest(0, packs * pack - received)) AS n')->pluck('n', 'part_id')->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all();
    }
}
