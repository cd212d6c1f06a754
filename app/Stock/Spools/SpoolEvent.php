<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What happened to a spool. Never edited.
 *
 * @property int $id
 * @property int $spool_id
 * @property string $kind opened, weighed, dried, used, job or ended
 * @property string|null $grams left after it
 * @property string|null $hours
 * @property string|null $celsius
 * @property string|null $note
 * @property Carbon $at
 * @property-read Person $person
 * @property-read Job|null $job
 */
final class SpoolEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
