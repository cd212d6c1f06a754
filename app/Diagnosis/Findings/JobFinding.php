<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something found, or looked for and not found, in a job. Withdrawn, never deleted.
 *
 * @property int $id
 * @property int $job_id
 * @property string $code
 * @property bool $present
 * @property string $source told, seen, check:CODE or proof:CODE
 * @property string|null $value
 * @property Carbon $at
 * @property Carbon|null $withdrawn_at
 * @property-read Person $person
 */
final class JobFinding extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['present' => 'boolean', 'at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
