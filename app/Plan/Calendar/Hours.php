<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use Illuminate\Database\Eloquent\Model;

/**
 * Hours of a day of the week: of the shop, or of somebody who has hours of their own.
 *
 * @property int $id
 * @property int|null $person_id
 * @property int $weekday 1 for Monday
 * @property int $opens minutes of the clock
 * @property int $closes
 */
final class Hours extends Model
{
    public $timestamps = false;

    protected $table = 'hours';

    protected $guarded = [];
}
