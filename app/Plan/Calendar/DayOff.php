<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Days on which the shop is shut, or somebody is not here.
 *
 * @property int $id
 * @property int|null $person_id
 * @property Carbon $first
 * @property Carbon $last
 * @property int|null $from_minute a part of the day only
 * @property int|null $to_minute
 * @property string $why
 * @property-read Person|null $person
 */
final class DayOff extends Model
{
    public $timestamps = false;

    protected $table = 'days_off';

    protected $guarded = [];

    protected $casts = ['first' => 'date', 'last' => 'date'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
