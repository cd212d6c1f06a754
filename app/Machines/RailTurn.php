<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * That a rail profile was turned to another face.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $job_id
 * @property string $position
 * @property int $face
 * @property string|null $hours
 * @property Carbon $at
 */
final class RailTurn extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];
}
