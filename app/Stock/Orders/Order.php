<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What was ordered from a supplier.
 *
 * @property int $id
 * @property int $supplier_id
 * @property string|null $note
 * @property int $freight_minor
 * @property Carbon $expected_at
 * @property Carbon $sent_at
 * @property Carbon|null $closed_at
 * @property string|null $closed_because
 * @property-read Supplier $supplier
 * @property-read Person $person
 * @property-read Collection<int, OrderLine> $lines
 */
final class Order extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['expected_at' => 'datetime', 'sent_at' => 'datetime', 'closed_at' => 'datetime'];

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<OrderLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(OrderLine::class)->orderBy('id');
    }
}
