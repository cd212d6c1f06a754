<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;

/** What came of a line of an order goes into its bin; an order that has all is closed. */
final readonly class ReceiveOrder
{
    public function __construct(private MoveStock $stock)
    {
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
                $supply?->costs($packCostMinor);
            }
            if ($order->lines()->get()->every(static fn (OrderLine $l): bool => $l->open() === 0)) {
                $order->update(['closed_at' => now()]);
            }

            return $movement;
        });
    }
}
