<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A line of a job’s record; written once, never changed.
 *
 * @property int $id
 * @property int|null $job_id null where no job was open
 * @property int $machine_id
 * @property int $version
 * @property string|null $station
 * @property string $kind
 * @property string $text
 * @property string|null $hours
 * @property Carbon $at
 * @property-read Person $person
 */
final class JobEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
