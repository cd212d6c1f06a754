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
 * @property 'failed'|'worked'|null $ended_as  said by whoever took it out
 * @property int|null $removed_job_id  the job it was taken out in
 * @property string|null $had_hours  hours it had when it was fitted, 0 for a new one; nothing when nobody knows
 * @property-read Machine $machine
 * @property-read Person|null $person
 */
final class Fitting extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['fitted_at' => 'datetime', 'removed_at' => 'datetime', 'upgrade' => 'boolean'];

    /** A machine whose counter showed more when it was read first did not come new. */
    public const NEW_UP_TO_HOURS = 100;

    /** What came with a machine has run as long as the machine; of a machine that came used nobody knows whether it is the first. */
    public static function original(Machine $machine, string $position): self
    {
        $first = Counter::query()->where('machine_id', $machine->id)->whereNull('withdrawn_at')
            ->orderBy('at')->orderBy('id')->value('hours');

        return self::query()->create([
            'machine_id' => $machine->id,
            'position' => $position,
            'fitted_at' => $machine->created_at,
            'fitted_hours' => 0,
            'had_hours' => $first !== null && (float) $first > self::NEW_UP_TO_HOURS ? null : 0,
        ]);
    }

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
