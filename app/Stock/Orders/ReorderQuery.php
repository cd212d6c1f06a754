<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Shop\Setting;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\DemandRate;
use OddBench\Stock\Foretold;
use OddBench\Stock\LeadTime;
use OddBench\Stock\Reorder;
use OddBench\Stock\ReorderCase;
use OddBench\Stock\ReorderJudged;
use stdClass;

/**
 * What stands in stock against what is going to be asked for, part by part.
 *
 * @phpstan-type StockAsItStands array{supply: int, reserved: int, onOrder: int, planned: array{count: int, tags: list<string>},
 *     last: string|null, lead: LeadTime, history: list<int>, foretold: Foretold|null, says: ReorderJudged}
 */
final readonly class ReorderQuery
{
    private const WEEKS = 52;

    private const CHUNK = 2000;

    public function __construct(
        private Knowledge $knowledge,
        private LeadTimes $leadTimes,
        private ReviewTimes $reviewTimes,
        private PlannedUse $planned,
        private LastOfKind $last,
        private ForetellsUse $foretells,
    ) {
    }

    /**
     * Used ones and predecessors count with the part that is bought today: their stock is its stock, their use its demand.
     *
     * @param  list<int>  $partIds
     * @return Collection<int, Judged> part id =>; those that are bought somewhere
     */
    public function of(array $partIds, int $benchMinuteMinor): Collection
    {
        $rows = $this->bought()->whereIntegerInRaw('s.part_id', $partIds)->get();

        return $rows->isEmpty() ? new Collection : $this->judged($this->judge(
            $rows,
            $this->foretold($rows),
            $this->planned->all(array_values(array_unique(array_filter(array_column($rows->all(), 'class'), is_string(...))))),
            $benchMinuteMinor,
        ));
    }

    /**
     * All that should be ordered, the whole shelf looked through some thousand parts at a time.
     *
     * @return Collection<int, Judged> part id =>
     */
    public function toOrder(int $benchMinuteMinor): Collection
    {
        $due = [];
        $planned = $this->planned->all();
        $foretold = $this->foretold($this->bought()->select(['s.part_id', 's.supplier_id'])->get());
        $this->bought()->chunkById(self::CHUNK, function (Collection $rows) use (&$due, $foretold, $planned, $benchMinuteMinor): void {
            $due += array_filter(
                $this->judge($rows, $foretold, $planned, $benchMinuteMinor),
                static fn (array $j): bool => $j['says']->packs > 0,
            );
        }, 's.id', 'id');

        return $this->judged($due);
    }

    /** Where each part that is not counted with another is ordered: bare rows, for the whole shelf is many of them. */
    private function bought(): Builder
    {
        return DB::table('supplies AS s')->join('parts AS p', 'p.id', '=', 's.part_id')
            ->where('s.preferred', true)
            ->whereNull('p.counts_with_id')
            ->selectRaw(
                's.id, s.part_id, s.supplier_id, s.pack, s.pack_cost_minor, p.class, p.shelf_life_weeks, p.on_hand, '
                    .'extract(epoch FROM ?::timestamptz - p.created_at) / 604800 AS weeks',
                [now()->toIso8601String()],
            );
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return array<int, Foretold> part id =>, until an order of today is here and the one after it may be placed
     */
    private function foretold(Collection $rows): array
    {
        $leads = $this->leadTimes->all();
        $reviews = $this->reviewTimes->all();
        $over = [];
        foreach ($rows as $row) {
            $over[(int) $row->part_id] = $leads[(int) $row->supplier_id]->meanWeeks() + ($reviews[(int) $row->supplier_id] ?? 0.0);
        }

        return $this->foretells->of($over);
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @param  array<int, Foretold>  $foretold  part id =>
     * @param  array<int, array{count: int, tags: list<string>}>  $planned
     * @return array<int, StockAsItStands> part id =>
     */
    private function judge(Collection $rows, array $foretold, array $planned, int $benchMinuteMinor): array
    {
        $ids = array_map(intval(...), array_column($rows->all(), 'part_id'));
        $figures = new StockFigures(array_values($ids));
        $leads = $this->leadTimes->all();
        $reviews = $this->reviewTimes->all();
        [$weeks, $onHand, $reserved, $onOrder] = [
            $figures->weeks(self::WEEKS, array_keys($foretold)),
            $figures->onHand(),
            $figures->reserved(),
            $figures->onOrder(),
        ];
        $last = $this->last->all(array_values($ids));
        $judged = [];
        $reorder = new Reorder;
        foreach ($rows as $row) {
            $id = (int) $row->part_id;
            $lead = $leads[(int) $row->supplier_id];
            $known = min(self::WEEKS, (int) floor(max(0.0, (float) $row->weeks)) + 1);
            $history = array_fill(0, $known, 0);
            foreach ($weeks[$id] ?? [] as $ago => $taken) {
                if ($ago < $known) {
                    $history[$known - 1 - $ago] = max(0, $taken);
                }
            }
            $stocking = $this->knowledge->stocking((string) $row->class);
            $shelfLife = $row->shelf_life_weeks ?? $stocking->shelfLifeWeeks;
            $own = $planned[$id] ?? ['count' => 0, 'tags' => []];
            $judged[$id] = [
                'supply' => (int) $row->id,
                'reserved' => $reserved[$id] ?? 0,
                'onOrder' => $onOrder[$id] ?? 0,
                'planned' => $own,
                'last' => $last[$id] ?? null,
                'lead' => $lead,
                'history' => array_values($history),
                'foretold' => $foretold[$id] ?? null,
                'says' => $reorder->judge(new ReorderCase(
                    demand: DemandRate::of(array_map(floatval(...), array_values($history))),
                    leadWeeks: $lead->meanWeeks(),
                    serviceLevel: max($stocking->serviceLevel, Setting::whole('service_pct') / 100),
                    pack: (int) $row->pack,
                    onHand: $onHand[$id] ?? (int) $row->on_hand,
                    reserved: $reserved[$id] ?? 0,
                    onOrder: $onOrder[$id] ?? 0,
                    planned: $own['count'],
                    leadSdWeeks: $lead->sdWeeks(),
                    reviewWeeks: $reviews[(int) $row->supplier_id] ?? 0.0,
                    orderCost: Setting::whole('order_minutes') * $benchMinuteMinor / 100,
                    holdingPctYear: (float) Setting::whole('holding_pct'),
                    unitCost: max(0.01, (int) $row->pack_cost_minor / (int) $row->pack / 100),
                    shelfLifeWeeks: $shelfLife === null ? null : (float) $shelfLife,
                    lastOfKind: $last[$id] ?? null,
                    foretold: $foretold[$id] ?? null,
                )),
            ];
        }

        return $judged;
    }

    /**
     * @param  array<int, StockAsItStands>  $judged
     * @return Collection<int, Judged>
     */
    private function judged(array $judged): Collection
    {
        $supplies = Supply::query()->with(['part', 'supplier'])
            ->whereIntegerInRaw('id', array_column($judged, 'supply'))
            ->get()
            ->keyBy('part_id');

        return $supplies->map(static fn (Supply $s): Judged => new Judged(
            $s,
            $judged[$s->part_id]['reserved'],
            $judged[$s->part_id]['onOrder'],
            $judged[$s->part_id]['planned']['count'],
            $judged[$s->part_id]['planned']['tags'],
            $judged[$s->part_id]['last'],
            $judged[$s->part_id]['lead'],
            $judged[$s->part_id]['history'],
            $judged[$s->part_id]['says'],
            $judged[$s->part_id]['foretold'],
        ))->toBase();
    }
}
