<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What a machine’s counter of print hours showed.
 *
 * @property int $id
 * @property int $machine_id
 * @property Carbon $at
 * @property string $hours since the counter began
 * @property bool $began_anew it was set back, or another board came in, since the reading before
 * @property value-of<CounterSource> $source
 * @property int|null $person_id
 * @property Carbon|null $withdrawn_at
 * @property-read Person|null $person
 */
final class Counter extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime', 'withdrawn_at' => 'datetime', 'began_anew' => 'boolean'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
