<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Orders from suppliers: sent, received in parts, closed. */
final readonly class KeepOrders
{
    public function __construct(private MoveStock $stock, private LeadTimes $leadTimes)
    {
    }

    /** Makes a supplier known, or changes what is known; its least order and its freight stay when nothing is said of them. */
    public function supplier(string $name, int $leadDays, ?int $minimumMinor, ?int $freightMinor, ?string $contact): Supplier
    {
        return Supplier::query()->updateOrCreate(
            ['name' => $name],
            [
                'lead_days' => $leadDays,
                'contact' => $contact,
                ...array_filter(['minimum_minor' => $minimumMinor, 'freight_minor' => $freightMinor], is_int(...)),
            ],
        );
    }

    /** Where a part is bought. The first one is the one it is ordered from; another can be preferred. */
    public function supply(Part $part, Supplier $supplier, ?string $number, int $pack, int $packCostMinor, bool $prefer = false): Supply
    {
        return DB::transaction(function () use ($part, $supplier, $number, $pack, $packCostMinor, $prefer): Supply {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            $supply = Supply::query()->firstOrNew(['part_id' => $part->id, 'supplier_id' => $supplier->id]);
            if ($prefer
                || ! Supply::query()->where('part_id', $part->id)->where('preferred', true)->whereKeyNot($supply->id ?? 0)->exists()) {
                Supply::query()->where('part_id', $part->id)->update(['preferred' => false]);
                $supply->preferred = true;
            } elseif (! $supply->exists) {
                $supply->preferred = false;
            }
            $this->price($supply->fill(['number' => $number, 'pack' => $pack]), $packCostMinor);
            Part::index([$part->id]);

            return $supply;
        });
    }

    /** What a pack costs from now on; what it cost before is kept beside it. */
    private function price(Supply $supply, int $packCostMinor): void
    {
        if ($supply->exists && $supply->pack_cost_minor !== $packCostMinor) {
            $supply->fill(['was_minor' => $supply->pack_cost_minor, 'changed_at' => now()]);
        }
        $supply->fill(['pack_cost_minor' => $packCostMinor])->save();
    }

    /**
     * @param  array<string, int>  $packs  part number => packs, none of them for 0
     * @param  bool  $lessIsRight  somebody has seen that it is less than the supplier sends for
     *
     * @throws InputError for a part this supplier does not sell, or none at all
     * @throws Refused when it is less than the supplier sends for and nobody has said that it is so
     */
    public function send(Supplier $supplier, array $packs, ?string $note, Person $by, bool $lessIsRight = true): Order
    {
        $packs = array_filter($packs);
        if ($packs === []) {
            throw InputError::at('packs', 'Nothing is ordered: give at least one part its packs.');
        }

        return DB::transaction(function () use ($supplier, $packs, $note, $by, $lessIsRight): Order {
            $days = ($this->leadTimes->all()[$supplier->id] ?? null)->meanDays ?? (float) $supplier->lead_days;
            $order = Order::query()->create([
                'supplier_id' => $supplier->id,
                'note' => $note,
                'freight_minor' => $supplier->freight_minor,
                'expected_at' => now()->addMinutes((int) round($days * 1440)),
                'person_id' => $by->id,
                'sent_at' => now(),
            ]);
            $goods = 0;
            foreach ($packs as $number => $count) {
                $part = Part::numbered((string) $number);
                $supply = Supply::query()->where(['part_id' => $part->id, 'supplier_id' => $supplier->id])->first()
                    ?? throw InputError::at(
                        "packs.{$number}",
                        "{$part->name} is not bought from {$supplier->name}. Change where it is bought, or take it off the order.",
                    );
                OrderLine::query()->create([
                    'order_id' => $order->id,
                    'part_id' => $part->id,
                    'packs' => $count,
                    'pack' => $supply->pack,
                    'pack_cost_minor' => $supply->pack_cost_minor,
                ]);
                $goods += $count * $supply->pack_cost_minor;
            }
            if ($goods < $supplier->minimum_minor && ! $lessIsRight) {
                throw Refused::because(
                    'minimum',
                    sprintf(
                        '%s sends for %.2f or more, and this is %.2f. Order more, wait until more is due, or say that it goes out all the same.',
                        $supplier->name,
                        $supplier->minimum_minor / 100,
                        $goods / 100,
                    ),
                );
            }

            return $order;
        });
    }

    /**
     * @param  int  $quantity  pieces
     * @param  int|null  $packCostMinor  what a pack cost, when it is not what was expected; it is expected next time
     * @param  bool  $moreIsRight  somebody has seen that more came than was ordered
     * @param  string|null  $batch  what is printed on the bag
     *
     * @throws Refused when more came and nobody has said that it is so
     */
    public function receive(
        OrderLine $line,
        int $quantity,
        ?int $packCostMinor,
        bool $moreIsRight,
        Person $by,
        ?string $batch = null,
    ): Movement {
        return DB::transaction(function () use ($line, $quantity, $packCostMinor, $moreIsRight, $by, $batch): Movement {
            $order = Order::query()->lockForUpdate()->findOrFail($line->order_id);
            $line = OrderLine::query()->with('part')->lockForUpdate()->findOrFail($line->id);
            if ($order->closed_at !== null) {
                throw Refused::because('order', 'This order is closed. Receive on the part’s own page what came after all.');
            }
            if ($quantity > $line->open() && ! $moreIsRight) {
                throw Refused::because(
                    'more',
                    "{$line->open()} of {$line->part->name} were still to come, and {$quantity} are said to be here. Count again, or say that more came.",
                );
            }
            $cost = $packCostMinor ?? $line->pack_cost_minor;
            $movement = $this->stock->receive(
                $line->part,
                $quantity,
                (int) round($cost / $line->pack),
                "order {$order->id}",
                $by,
                $line,
                batch: $batch,
            );
            $line->update(['received' => $line->received + $quantity]);
            if ($packCostMinor !== null) {
                $supply = Supply::query()->where(['part_id' => $line->part_id, 'supplier_id' => $order->supplier_id])->first();
                $supply === null ?: $this->price($supply, $packCostMinor);
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
        DB::transaction(static function () use ($order, $because): void {
            $order = Order::query()->lockForUpdate()->findOrFail($order->id);
            if ($order->closed_at !== null) {
                throw Refused::because('order', 'This order is closed already.');
            }
            $order->update(['closed_at' => now(), 'closed_because' => $because]);
        });
    }
}
