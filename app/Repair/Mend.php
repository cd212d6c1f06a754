<?php

declare(strict_types=1);

namespace App\Repair;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What was done to a machine.
 *
 * @property int $id
 * @property int $job_id
 * @property string|null $fault
 * @property string $done
 * @property list<string> $touched subsystems
 * @property Carbon $at
 * @property-read Person $person
 */
final class Mend extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['touched' => 'array', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
