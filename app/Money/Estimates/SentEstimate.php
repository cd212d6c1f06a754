<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use OddBench\Money\OwnerSaid;

/**
 * An estimate as its owner got it; never changed. A later one supersedes it.
 *
 * @property int $id
 * @property int $job_id
 * @property int $number of this job
 * @property int $expected_minor
 * @property int $ceiling_minor
 * @property array<string, mixed> $frozen as EstimateView shows it
 * @property string $way
 * @property Carbon $at
 * @property Carbon|null $superseded_at
 * @property-read Job $job
 * @property-read Person $person
 * @property-read EstimateAnswer|null $answer
 */
final class SentEstimate extends Model
{
    public $timestamps = false;

    protected $table = 'estimates';

    protected $guarded = [];

    protected $casts = ['frozen' => 'array', 'at' => 'datetime', 'superseded_at' => 'datetime'];

    /** The last finding it knows of. */
    public function upToFinding(): int
    {
        return is_int($this->frozen['upToFinding'] ?? null) ? $this->frozen['upToFinding'] : 0;
    }

    /** The most its owner can agree to in writing, minor units. */
    public function mostMinor(): int
    {
        $dearest = $this->frozen['mostMinor'] ?? null;

        return OwnerSaid::most($this->expected_minor, $this->ceiling_minor, is_int($dearest) ? $dearest : 0);
    }

    /** Until when its owner can answer it at its own address. */
    public function over(): Carbon
    {
        return $this->at->copy()->addDays(AnswerKey::DAYS);
    }

    public function isOver(): bool
    {
        return $this->over()->isPast();
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

    /** @return HasOne<EstimateAnswer, $this> */
    public function answer(): HasOne
    {
        return $this->hasOne(EstimateAnswer::class, 'estimate_id');
    }
}
