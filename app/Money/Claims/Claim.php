<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * Something claimed of a seller, a maker or a supplier.
 *
 * @property int $id
 * @property int $machine_id
 * @property int|null $job_id
 * @property string $against
 * @property 'seller'|'maker'|'supplier' $against_is
 * @property 'machine'|'part'|'money' $claims
 * @property string $what
 * @property int $worth_minor when it is met
 * @property int $effort_minor to go on claiming
 * @property Carbon|null $deadline
 * @property Carbon|null $next_on
 * @property string|null $video its address
 * @property list<array{kind: string, id: int, words: string}> $proof out of the job
 * @property 'open'|'won'|'partly'|'lost'|'dropped' $state
 * @property int|null $got_minor
 * @property int $version
 * @property Carbon $at
 * @property Carbon|null $closed_at
 * @property-read Machine $machine
 * @property-read Job|null $job
 * @property-read Person $person
 * @property-read Collection<int, ClaimWord> $said
 */
final class Claim extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'deadline' => 'date', 'next_on' => 'date', 'proof' => 'array', 'at' => 'datetime', 'closed_at' => 'datetime',
    ];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
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

    /** @return HasMany<ClaimWord, $this> */
    public function said(): HasMany
    {
        return $this->hasMany(ClaimWord::class)->orderBy('said_on')->orderBy('id');
    }
}
