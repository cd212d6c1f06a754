<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * The same look at many machines: because of a fault found on one, a bad batch, a bulletin or a thought.
 *
 * @property int $id
 * @property 'fault'|'batch'|'bulletin'|'thought' $origin
 * @property string|null $title what it is called; nothing where its fault says it
 * @property string|null $fault
 * @property string|null $look code of the check
 * @property string|null $look_for what to look for, in words
 * @property string $because
 * @property array<string, mixed>|null $criteria which machines it is about
 * @property int|null $job_id where it was found
 * @property int|null $assigned_to
 * @property Carbon|null $due_on
 * @property bool $dangerous
 * @property string|null $mend what puts it right
 * @property Carbon|null $tagged_at when a lead had red tags put on what nobody had looked at
 * @property Carbon $opened_at
 * @property Carbon|null $closed_at
 * @property-read Job|null $job
 * @property-read Person $openedBy
 * @property-read Person|null $assigned
 * @property-read Person|null $taggedBy
 * @property-read \Illuminate\Database\Eloquent\Collection<int, LookOwed> $owed
 */
final class Campaign extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'opened_at' => 'datetime', 'closed_at' => 'datetime', 'tagged_at' => 'datetime', 'due_on' => 'date', 'dangerous' => 'boolean',
        'criteria' => 'array',
    ];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function openedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'opened_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function assigned(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'assigned_to');
    }

    /** @return BelongsTo<Person, $this> */
    public function taggedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'tagged_by');
    }

    /** @return HasMany<LookOwed, $this> */
    public function owed(): HasMany
    {
        return $this->hasMany(LookOwed::class);
    }
}
