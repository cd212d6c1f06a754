<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A guide at work in a job.
 *
 * @property int $id
 * @property int $job_id
 * @property string $guide
 * @property string|null $school
 * @property int $person_id
 * @property Carbon $began_at
 * @property Carbon|null $ended_at
 * @property float|null $minutes of hands
 * @property bool $given_up
 * @property-read Person $person
 * @property-read \Illuminate\Database\Eloquent\Collection<int, GuideStepDone> $done
 */
final class GuideRun extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['began_at' => 'datetime', 'ended_at' => 'datetime', 'minutes' => 'float', 'given_up' => 'boolean'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<GuideStepDone, $this> */
    public function done(): HasMany
    {
        return $this->hasMany(GuideStepDone::class);
    }
}
