<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A photograph taken in a job.
 *
 * @property int $id
 * @property int $job_id
 * @property string $path on the disk for files
 * @property int $width
 * @property int $height
 * @property int $bytes
 * @property Carbon $at
 */
final class Photograph extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];
}
