<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something measured in a job.
 *
 * @property int $id
 * @property int $job_id
 * @property int $machine_id
 * @property string $instrument
 * @property string|null $position
 * @property string|null $hours
 * @property array<string, mixed> $input
 * @property array<string, mixed> $result
 * @property float|null $value
 * @property string $unit
 * @property string|null $verdict
 * @property string|null $because
 * @property Carbon $at
 * @property-read Person $person
 */
final class Reading extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['input' => 'array', 'result' => 'array', 'value' => 'float', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
