<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

/** An order and what of it has come. */
#[OA\Schema]
final readonly class OrderView extends View
{
    /** @param  list<OrderLineView>  $lines */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $supplier,
        #[OA\Property] public string $sentAt,
        #[OA\Property] public string $expectedAt,
        #[OA\Property(description: 'later than this supplier usually is')] public bool $late,
        #[OA\Property] public ?string $closedAt,
        #[OA\Property] public ?string $closedBecause,
        #[OA\Property] public ?string $note,
        #[OA\Property] public string $by,
        #[OA\Property] public int $totalMinor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OrderLineView::class))] public array $lines,
    ) {
    }

    /** The relations supplier, person and lines.part must be loaded. */
    public static function of(Order $order): self
    {
        $lines = array_values($order->lines->map(static fn (OrderLine $l): OrderLineView => new OrderLineView(
            $l->id,
            $l->part->number,
            $l->part->name,
            $l->part->bin,
            $l->packs,
            $l->pack,
            $l->pack_cost_minor,
            $l->received,
            $l->open(),
        ))->all());

        return new self(
            $order->id, $order->supplier->name, $order->sent_at->toIso8601String(), $order->expected_at->toIso8601String(),
            $order->closed_at === null && $order->expected_at->isPast(),
            $order->closed_at?->toIso8601String(),
            $order->closed_because,
            $order->note,
            $order->person->name,
            $order->freight_minor + array_sum(array_map(static fn (OrderLineView $l): int => $l->packs * $l->packCostMinor, $lines)),
            $lines,
        );
    }
}
