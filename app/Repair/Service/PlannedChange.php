<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Intake\Job;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A part that is to be changed in a job before it fails.
 *
 * @property int $job_id
 * @property string $position
 * @property string $part_class
 * @property string|null $guide  how it is done
 * @property Job $job
 */
final class PlannedChange extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'job_id';

    protected $guarded = [];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
