<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * That work which comes round was done.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $item
 * @property int $job_id
 * @property string|null $hours
 * @property Carbon $at
 */
final class ServiceDone extends Model
{
    protected $table = 'services_done';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];
}
