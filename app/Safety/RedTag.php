<?php

declare(strict_types=1);

namespace App\Safety;

use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * A red tag on a machine, from the moment it is put on until two people have signed it off.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $job_id
 * @property string $reason
 * @property int $put_on_by
 * @property Carbon $put_on_at
 * @property string|null $cause
 * @property string|null $measurement
 * @property int|null $off_asked_by
 * @property int|null $countersigned_by
 * @property Carbon|null $off_asked_at
 * @property Carbon|null $off_at
 * @property-read Machine $machine
 * @property-read Person $putOnBy
 * @property-read Person|null $offAskedBy
 * @property-read SupervisedTest|null $supervisedTest
 */
final class RedTag extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['put_on_at' => 'datetime', 'off_asked_at' => 'datetime', 'off_at' => 'datetime'];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** The one a machine wears now, with the test that was signed for under it. */
    public static function wornBy(int $machine): ?self
    {
        return self::worn([$machine])[$machine] ?? null;
    }

    /**
     * @param  iterable<mixed, int>  $machines  ids
     * @return array<int, self> machine id => the tag it wears
     */
    public static function worn(iterable $machines): array
    {
        /** @var array<int, self> */
        return self::query()->with('supervisedTest')
            ->whereIn('machine_id', $machines)
            ->whereNull('off_at')
            ->get()
            ->keyBy('machine_id')
            ->all();
    }

    /** @return BelongsTo<Person, $this> */
    public function putOnBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'put_on_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function offAskedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'off_asked_by');
    }

    /** @return HasOne<SupervisedTest, $this> */
    public function supervisedTest(): HasOne
    {
        return $this->hasOne(SupervisedTest::class);
    }
}
