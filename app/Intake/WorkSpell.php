<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A stretch of time in which somebody’s hands were on a job.
 *
 * @property int $id
 * @property int $job_id
 * @property int $person_id
 * @property string $station
 * @property Carbon $began_at
 * @property Carbon $last_seen_at
 * @property Carbon|null $ended_at
 * @property-read Person $person
 */
final class WorkSpell extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['began_at' => 'datetime', 'last_seen_at' => 'datetime', 'ended_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
