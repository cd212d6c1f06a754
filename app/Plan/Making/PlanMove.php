<?php

declare(strict_types=1);

namespace App\Plan\Making;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A step that somebody moved: it is done by whom, and not sooner than they said.
 *
 * @property int $id
 * @property int $job_id
 * @property string $step
 * @property int|null $person_id
 * @property Carbon|null $not_before
 */
final class PlanMove extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['not_before' => 'datetime', 'at' => 'datetime'];
}
