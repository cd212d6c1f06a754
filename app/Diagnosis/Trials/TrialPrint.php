<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Intake\Photograph;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One trial print of a job. Withdrawn, never deleted.
 *
 * @property int $id
 * @property int $job_id
 * @property int $number from 1 on in its job
 * @property array<string, float|int|string> $settings
 * @property int $rating 1 to 5
 * @property bool $stopped
 * @property string|null $band_from_mm
 * @property string|null $band_to_mm
 * @property string|null $note
 * @property Carbon $at
 * @property Carbon|null $withdrawn_at
 * @property-read Person $person
 * @property-read Photograph|null $photograph
 */
final class TrialPrint extends Model
{
    public $timestamps = false;

    protected $table = 'trials';

    protected $guarded = [];

    protected $casts = ['settings' => 'array', 'stopped' => 'boolean', 'at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Photograph, $this> */
    public function photograph(): BelongsTo
    {
        return $this->belongsTo(Photograph::class);
    }

    /** @return array{float, float}|null */
    public function band(): ?array
    {
        return $this->band_from_mm === null || $this->band_to_mm === null ? null : [(float) $this->band_from_mm, (float) $this->band_to_mm];
    }
}
