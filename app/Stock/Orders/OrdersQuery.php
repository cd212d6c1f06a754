<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Shop\Setting;
use App\Stock\Kits\Reservation;
use App\Stock\Parts\Part;
use Illuminate\Support\Collection;

/** Gathers the order page. */
final readonly class OrdersQuery
{
    private const CLOSED = 8;

    /** An order longer than this is nobody’s to read; the rest comes with the next one. */
    private const LINES = 200;

    public function __construct(private ReorderQuery $reorder)
    {
    }

    public function all(): OrdersView
    {
        $with = ['supplier', 'person', 'lines.part'];

        return new OrdersView(
            $this->proposals(),
            array_values(Order::query()->with($with)->whereNull('closed_at')->orderBy('id')->get()->map(OrderView::of(...))->all()),
            array_values(
                Order::query()->with($with)
                    ->whereNotNull('closed_at')
                    ->orderByDesc('closed_at')
                    ->limit(self::CLOSED)
                    ->get()
                    ->map(OrderView::of(...))
                    ->all(),
            ),
            Part::query()->whereNotIn('id', Supply::query()->select('part_id'))->count(),
        );
    }

    /** @return list<ProposalView> */
    private function proposals(): array
    {
        $judged = $this->reorder->toOrder(Setting::benchMinuteMinor());
        $waiting = Reservation::query()->with('job.machine')->whereIn('part_id', $judged->keys())->get()->groupBy('part_id');

        return array_values($judged->groupBy(static fn (Judged $j): int => $j->supply->supplier_id)->map(function (Collection $all) use ($waiting): ProposalView {
            /** @var Collection<int, Judged> $all */
            $first = $all->firstOrFail();
            $supplier = $first->supply->supplier;
            $lines = $all->map(static fn (Judged $j): ProposedLineView => self::line(
                $j,
                $waiting->get($j->supply->part_id),
            ))->sortBy([static fn (ProposedLineView $a, ProposedLineView $b): int => [$b->waiting !== [], $b->risk, $a->name] <=> [$a->waiting !== [], $a->risk, $b->name]]);

            return new ProposalView(
                $supplier->id,
                $supplier->name,
                $supplier->contact,
                $supplier->minimum_minor,
                $supplier->freight_minor,
                round($first->lead->meanDays, 1),
                array_values($lines->take(self::LINES)->all()),
                max(0, $lines->count() - self::LINES),
            );
        })->sortBy('name')->all());
    }

    /** @param  Collection<int, Reservation>|null  $promised */
    private static function line(Judged $j, ?Collection $promised): ProposedLineView
    {
        $short = $j->says->free - $j->onOrder < 0;
        $tags = $short ? [
            ...($promised === null ? [] : $promised->map(static fn (Reservation $r): string => $r->job->machine->tag)->all()),
            ...$j->plannedFor,
        ] : [];

        return new ProposedLineView(
            $j->supply->part->number,
            $j->supply->part->name,
            $j->supply->number,
            $j->says->packs,
            $j->supply->pack,
            $j->supply->pack_cost_minor,
            $j->supply->was_minor,
            $j->says->free,
            $j->says->point,
            round($j->says->risk, 4),
            $j->says->coverWeeks,
            $j->says->because,
            $j->last,
            array_values(array_unique($tags)),
        );
    }
}
