<?php

declare(strict_types=1);

namespace App\Machines;

use App\Stock\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A part that sits, or sat, in a position of a machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $position
 * @property int|null $part_id
 * @property int|null $movement_id
 * @property Carbon $fitted_at
 * @property string|null $fitted_hours
 * @property Carbon|null $removed_at
 * @property string|null $removed_hours
 * @property-read Part|null $part
 */
final class Fitting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['fitted_at' => 'datetime', 'removed_at' => 'datetime'];

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }
}
