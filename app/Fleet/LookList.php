<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * The same look at every sister of a machine a fault was found on.
 *
 * @property int $id
 * @property string $fault
 * @property string $look code of the check
 * @property string $because
 * @property int $job_id where it was found
 * @property Carbon $opened_at
 * @property Carbon|null $closed_at
 * @property-read Job $job
 * @property-read Person $openedBy
 * @property-read \Illuminate\Database\Eloquent\Collection<int, LookOwed> $owed
 */
final class LookList extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['opened_at' => 'datetime', 'closed_at' => 'datetime'];

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

    /** @return HasMany<LookOwed, $this> */
    public function owed(): HasMany
    {
        return $this->hasMany(LookOwed::class);
    }
}
