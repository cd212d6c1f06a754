<?php

declare(strict_types=1);

namespace App\Repair\Timers;

use App\Intake\Job;
use App\Repair\Guides\GuideRun;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A clock that runs for a job: kept as the moment it rings, so that every screen shows the same.
 *
 * @property int $id
 * @property int $job_id
 * @property int|null $guide_run_id
 * @property int|null $step
 * @property string $name
 * @property Carbon $began_at
 * @property Carbon $rings_at
 * @property Carbon|null $at_most
 * @property Carbon|null $stopped_at
 * @property-read Job $job
 * @property-read GuideRun|null $run
 */
final class Timer extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['began_at' => 'datetime', 'rings_at' => 'datetime', 'at_most' => 'datetime', 'stopped_at' => 'datetime'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * The guide at work whose step it was started for.
     *
     * @return BelongsTo<GuideRun, $this>
     */
    public function run(): BelongsTo
    {
        return $this->belongsTo(GuideRun::class, 'guide_run_id');
    }
}
