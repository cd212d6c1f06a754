<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A fault somebody confirmed, with what was believed then. Superseded, never deleted.
 *
 * @property int $id
 * @property int $job_id
 * @property string $fault
 * @property float $probability
 * @property Carbon $at
 * @property Carbon|null $superseded_at
 * @property string|null $overturned_by
 * @property int|null $comeback_of the job within whose warranty it came back
 * @property-read Person $person
 * @property-read Job|null $earlier
 */
final class Confirmed extends Model
{
    public $timestamps = false;

    protected $table = 'diagnoses';

    protected $guarded = [];

    protected $casts = ['at' => 'datetime', 'superseded_at' => 'datetime', 'probability' => 'float'];

    /**
     * The job that mended it before.
     *
     * @return BelongsTo<Job, $this>
     */
    public function earlier(): BelongsTo
    {
        return $this->belongsTo(Job::class, 'comeback_of');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
