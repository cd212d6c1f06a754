<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Shop\Person;
use App\Stock\Shelf\Movement;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A receipt whose parts are not to be trusted.
 *
 * @property int $id
 * @property int $movement_id
 * @property string $because
 * @property Carbon $at
 * @property Carbon|null $lifted_at
 * @property string|null $lifted_because
 * @property-read Movement $movement
 * @property-read Person $person
 */
final class BadBatch extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime', 'lifted_at' => 'datetime'];

    /** @return BelongsTo<Movement, $this> */
    public function movement(): BelongsTo
    {
        return $this->belongsTo(Movement::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
