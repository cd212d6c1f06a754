<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What was promised, with what was to be expected then.
 *
 * @property int $id
 * @property int $job_id
 * @property 'book-in'|'estimate'|'changed' $kind
 * @property Carbon|null $promised_for
 * @property Carbon $half
 * @property Carbon $eighty
 * @property Carbon $ninety
 * @property Carbon $at
 */
final class Promise extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['promised_for' => 'date', 'half' => 'date', 'eighty' => 'date', 'ninety' => 'date', 'at' => 'datetime'];
}
