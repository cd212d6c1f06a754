<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Refused;
use Illuminate\Support\Facades\DB;

/** What has not come will not come. */
final readonly class CloseOrder
{
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
