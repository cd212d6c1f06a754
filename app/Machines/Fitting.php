<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\Person;
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
 * @property int|null $replaces_id  the fitting it took the place of
 * @property int|null $ended_by  the movement that ended it; null where none did
 * @property Carbon $fitted_at
 * @property string|null $fitted_hours
 * @property Carbon|null $removed_at
 * @property string|null $removed_hours
 * @property int|null $job_id
 * @property string|null $reason
 * @property bool $upgrade
 * @property 'scrap'|'spare'|'seller'|'lost'|null $became
 * @property 'tested'|'untested'|null $grade
 * @property-read Machine $machine
 * @property-read Person|null $person
 */
final class Fitting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['fitted_at' => 'datetime', 'removed_at' => 'datetime', 'upgrade' => 'boolean'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
