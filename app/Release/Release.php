<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How a job ended and who signed for it.
 *
 * @property int $id
 * @property int $job_id
 * @property string $destination
 * @property string|null $note
 * @property string|null $danger
 * @property int|null $price_minor
 * @property array<string, mixed>|null $sheet
 * @property string|null $grade
 * @property Carbon|null $warranty_until
 * @property string|null $warranty_hours the machine's counter, up to which the repair is stood for
 * @property Carbon $at
 * @property-read Job $job
 * @property-read Person $person
 */
final class Release extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime', 'sheet' => 'array', 'warranty_until' => 'date'];

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
