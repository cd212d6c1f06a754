<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Machines\Machine;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Where a machine stands.
 *
 * @property int $machine_id
 * @property int $rack_id
 * @property int $shelf  from 1, the top one
 * @property int $place  from 1, the left one
 * @property-read Machine $machine
 */
final class RackPlace extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'machine_id';

    protected $guarded = [];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
