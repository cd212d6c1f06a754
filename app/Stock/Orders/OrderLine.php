<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One part of an order.
 *
 * @property int $id
 * @property int $order_id
 * @property int $part_id
 * @property int $packs
 * @property int $pack
 * @property int $pack_cost_minor
 * @property int $received pieces that have come
 * @property-read Order $order
 * @property-read Part $part
 */
final class OrderLine extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** Pieces still to come. */
    public function open(): int
    {
        return max(0, $this->packs * $this->pack - $this->received);
    }
}
