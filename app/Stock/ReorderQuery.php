<?php

declare(strict_types=1);

namespace App\Stock;

use Illuminate\Support\Collection;
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

    public function __construct(private Knowledge $knowledge, private LeadTimes $leadTimes, private PlannedUse $planned, private LastOfKind $last)
    {
    }

    /**
     * Used ones and predecessors count with the part that is bought today: their stock is its stock, their use its demand.
     *
     * @param  list<int>|null  $partIds  all when nothing is said
     * @return Collection<int, Judged> part id =>; those that are bought somewhere
     */
    public function of(?array $partIds, int $benchMinuteMinor): Collection
    {
        $supplies = Supply::query()->with(['part', 'supplier'])->where('preferred', true)->whereHas('part', static fn ($q) => $q->whereNull('counts_with_id'))
            ->when($partIds !== null, static fn ($q) => $q->whereIn('part_id', $partIds ?? []))->get();
        $ids = $partIds === null ? null : array_values($supplies->map(static fn (Supply $s): int => $s->part_id)->all());
        if ($ids === []) {
            return new Collection;
        }
        $family = new StockFigures($ids);
        $weeks = $family->weeks(self::WEEKS);
        $onHand = $family->onHand();
        $reserved = $family->reserved();
        $onOrder = $family->onOrder();
        $leads = $this->leadTimes->all();
        $planned = $this->planned->all();
        $last = $this->last->all($ids);

        return $supplies->keyBy('part_id')->map(fn (Supply $s): Judged => $this->judge(
            $s, $weeks[$s->part_id] ?? [], $onHand[$s->part_id] ?? $s->part->on_hand, $reserved[$s->part_id] ?? 0, $onOrder[$s->part_id] ?? 0, $planned[$s->part_id] ?? ['count' => 0, 'tags' => []], $last[$s->part_id] ?? null, $leads[$s->supplier_id], $benchMinuteMinor,
        ));
    }

    /**
     * @param  array<int, int>  $weeks
     * @param  array{count: int, tags: list<string>}  $planned
     */
    private function judge(Supply $supply, array $weeks, int $onHand, int $reserved, int $onOrder, array $planned, ?string $last, LeadTime $lead, int $benchMinuteMinor): Judged
    {
        $known = max(1, min(self::WEEKS, (int) ceil($supply->part->created_at->diffInDays(now()) / 7)));
        $history = [];
        for ($ago = $known - 1; $ago >= 0; $ago--) {
            $history[] = max(0, $weeks[$ago] ?? 0);
        }
        $stocking = $this->knowledge->stocking($supply->part->class);
        $shelfLife = $supply->part->shelf_life_weeks ?? $stocking->shelfLifeWeeks;
        $result = (new Reorder)->compute([
            'history' => $history, 'lead_time_weeks' => min(104.0, $lead->meanWeeks()), 'lead_time_sd_weeks' => min(104.0, $lead->sdWeeks()), 'service_level' => $stocking->serviceLevel, 'pack_size' => $supply->pack,
            'on_hand' => $onHand, 'reserved' => $reserved, 'on_order' => $onOrder, 'planned' => $planned['count'], 'order_cost' => self::ORDER_MINUTES * $benchMinuteMinor / 100, 'holding_pct_year' => self::HOLDING_PCT,
            'unit_cost' => max(0.01, $supply->pack_cost_minor / $supply->pack / 100), ...($shelfLife === null ? [] : ['shelf_life_weeks' => $shelfLife]), ...($last === null ? [] : ['last_of_kind' => $last]),
        ]);

        return new Judged($supply, $reserved, $onOrder, $planned['count'], $planned['tags'], $last, $lead, $history, $result);
    }
}
