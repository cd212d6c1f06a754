<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property int $guide_run_id
 * @property int $step number from 1 on
 * @property Carbon $at
 */
final class GuideStepDone extends Model
{
    protected $table = 'guide_steps_done';

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'guide_run_id';

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];
}
