<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use Illuminate\Database\Eloquent\Model;

/**
 * Who sells parts to the shop.
 *
 * @property int $id
 * @property string $name
 * @property string|null $contact
 * @property int $lead_days as the supplier says
 * @property int $minimum_minor of an order
 * @property int $freight_minor of each order
 */
final class Supplier extends Model
{
    protected $guarded = [];
}
