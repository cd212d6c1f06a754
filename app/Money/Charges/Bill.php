<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Intake\Job;
use App\Intake\JobState;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a job was charged at; never changed.
 *
 * @property int $id
 * @property int $job_id
 * @property int $number
 * @property list<array{what: string, minor: int}> $lines as its owner reads them
 * @property string $minutes that were charged
 * @property int $hands_minor
 * @property int $parts_minor
 * @property int $freight_minor
 * @property int $net_minor
 * @property string $tax_pct
 * @property int $tax_minor
 * @property int $gross_minor
 * @property int $own_cost_minor
 * @property string|null $free_because the shop bears it
 * @property Carbon $at
 * @property-read Job $job
 * @property-read Person $person
 */
final class Bill extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['lines' => 'array', 'at' => 'datetime'];

    public static function of(JobState $state): ?self
    {
        return $state->readOnce('bill', static fn (): ?self => self::query()->where('job_id', $state->job->id)->first());
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
