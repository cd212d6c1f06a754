<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Machines\Machine;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a machine was sold for; never changed.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $price_minor
 * @property int $person_id
 * @property Carbon $at
 * @property-read Machine $machine
 */
final class Sale extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
