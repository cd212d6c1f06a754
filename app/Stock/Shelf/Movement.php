<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Person;
use App\Stock\Batches\BadBatch;
use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * A change of stock. Never edited; a wrong one is undone by another.
 *
 * @property int $id
 * @property int $part_id
 * @property 'received'|'used'|'returned'|'counted'|'scrapped'|'salvaged'|'made'|'moved' $kind
 * @property int $quantity below zero when it leaves the shelf
 * @property int $value_minor
 * @property int|null $job_id
 * @property string|null $position
 * @property int|null $undoes_id
 * @property string|null $note
 * @property string $bin
 * @property string|null $batch what is printed on the bag it came in
 * @property int|null $machine_id the machine it came out of
 * @property string|null $hours how long it had run there
 * @property int|null $order_line_id
 * @property int|null $stocktake_id
 * @property int $person_id
 * @property Carbon $at
 * @property-read Part $part
 * @property-read Person $person
 * @property-read Movement|null $undoneBy
 * @property-read Job|null $job
 * @property-read Machine|null $machine
 * @property-read BadBatch|null $bad
 */
final class Movement extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

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

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return HasOne<BadBatch, $this> */
    public function bad(): HasOne
    {
        return $this->hasOne(BadBatch::class)->whereNull('lifted_at');
    }

    /** @return HasOne<Movement, $this> */
    public function undoneBy(): HasOne
    {
        return $this->hasOne(self::class, 'undoes_id');
    }
}
