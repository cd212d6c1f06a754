<?php

declare(strict_types=1);

namespace App\Stock;

use App\Api\Refused;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Orders from suppliers: sent, received in parts, closed. */
final readonly class KeepOrders
{
    public function __construct(private MoveStock $stock, private LeadTimes $leadTimes)
    {
    }

    /** Makes a supplier known, or changes what is known. */
    public function supplier(string $name, int $leadDays, int $minimumMinor, int $freightMinor, ?string $contact): Supplier
    {
        return Supplier::query()->updateOrCreate(['name' => $name], ['lead_days' => $leadDays, 'minimum_minor' => $minimumMinor, 'freight_minor' => $freightMinor, 'contact' => $contact]);
    }

    /** Where a part is bought. */
    public function supply(Part $part, Supplier $supplier, ?string $number, int $pack, int $packCostMinor): Supply
    {
        return Supply::query()->updateOrCreate(['part_id' => $part->id], ['supplier_id' => $supplier->id, 'number' => $number, 'pack' => $pack, 'pack_cost_minor' => $packCostMinor]);
    }

    /**
     * @param  array<string, int>  $packs  part number => packs, none of them for 0
     *
     * @throws InputError for a part this supplier does not sell, or none at all
     */
    public function send(Supplier $supplier, array $packs, ?string $note, Person $by): Order
    {
        $packs = array_filter($packs);
        if ($packs === []) {
            throw InputError::at('packs', 'Nothing is ordered: give at least one part its packs.');
        }

        return DB::transaction(function () use ($supplier, $packs, $note, $by): Order {
            $days = ($this->leadTimes->all()[$supplier->id] ?? null)->meanDays ?? (float) $supplier->lead_days;
            $order = Order::query()->create(['supplier_id' => $supplier->id, 'note' => $note, 'freight_minor' => $supplier->freight_minor, 'expected_at' => now()->addMinutes((int) round($days * 1440)), 'person_id' => $by->id, 'sent_at' => now()]);
            foreach ($packs as $number => $count) {
                $part = Part::numbered((string) $number);
                $supply = Supply::query()->where(['part_id' => $part->id, 'supplier_id' => $supplier->id])->first()
                    ?? throw InputError::at("packs.{$number}", "{$part->name} is not bought from {$supplier->name}. Change where it is bought, or take it off the order.");
                OrderLine::query()->create(['order_id' => $order->id, 'part_id' => $part->id, 'packs' => $count, 'pack' => $supply->pack, 'pack_cost_minor' => $supply->pack_cost_minor]);
            }

            return $order;
        });
    }

    /**
     * @param  int  $quantity  pieces
     * @param  int|null  $packCostMinor  what a pack cost, when it is not what was expected; it is expected next time
     * @param  bool  $moreIsRight  somebody has seen that more came than was ordered
     *
     * @throws Refused when more came and nobody has said that it is so
     */
    public function receive(OrderLine $line, int $quantity, ?int $packCostMinor, bool $moreIsRight, Person $by): Movement
    {
        return DB::transaction(function () use ($line, $quantity, $packCostMinor, $moreIsRight, $by): Movement {
            $order = Order::query()->lockForUpdate()->findOrFail($line->order_id);
            $line = OrderLine::query()->with('part')->lockForUpdate()->findOrFail($line->id);
            if ($order->closed_at !== null) {
                throw Refused::because('order', 'This order is closed. Receive on the part’s own page what came after all.');
            }
            if ($quantity > $line->open() && ! $moreIsRight) {
                throw Refused::because('more', "{$line->open()} of {$line->part->name} were still to come, and {$quantity} are said to be here. Count again, or say that more came.");
            }
            $cost = $packCostMinor ?? $line->pack_cost_minor;
            $movement = $this->stock->receive($line->part, $quantity, (int) round($cost / $line->pack), "order {$order->id}", $by, $line);
            $line->update(['received' => $line->received + $quantity]);
            if ($packCostMinor !== null) {
                Supply::query()->where(['part_id' => $line->part_id, 'supplier_id' => $order->supplier_id])->update(['pack_cost_minor' => $packCostMinor]);
            }
            if ($order->lines()->get()->every(static fn (OrderLine $l): bool => $l->open() === 0)) {
                $order->update(['closed_at' => now()]);
            }

            return $movement;
        });
    }

    /** What has not come will not come. */
    public function close(Order $order, string $because): void
    {
        if ($order->closed_at !== null) {
            throw Refused::because('order', 'This order is closed already.');
        }
        $order->update(['closed_at' => now(), 'closed_because' => $because]);
    }
}
