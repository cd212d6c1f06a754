<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Intake\Job;
use App\Shop\Person;
use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Parts promised to a job; they stay in their bin until they are taken.
 *
 * @property int $id
 * @property int $part_id
 * @property int $job_id
 * @property int $quantity
 * @property Carbon $at
 * @property-read Person $person
 * @property-read Job $job
 * @property-read Part $part
 */
final class Reservation extends Model
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

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }
}
