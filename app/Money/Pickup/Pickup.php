<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Intake\Job;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use OddBench\Money\StorageDue;
use OddBench\Money\StorageOwed;

/**
 * A machine whose owner was told that it is ready, and what was agreed for standing.
 *
 * @property int $job_id
 * @property Carbon $ready_on
 * @property int $free_days
 * @property int $per_day_minor
 * @property Carbon $at
 * @property-read Job $job
 */
final class Pickup extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'job_id';

    protected $guarded = [];

    protected $casts = ['ready_on' => 'date', 'at' => 'datetime'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @param  string  $today  the shop’s day */
    public function owed(string $today, int $charged): StorageOwed
    {
        $on = new DateTimeImmutable(max($today, $this->ready_on->toDateString()));

        return (new StorageDue)->judge(
            new DateTimeImmutable($this->ready_on->toDateString()),
            $on,
            $this->free_days,
            $this->per_day_minor,
            $charged,
        );
    }
}
