<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A stretch of time in which somebody’s hands were on a job.
 *
 * @property int $id
 * @property int $job_id
 * @property int $person_id
 * @property string $station
 * @property Carbon $began_at
 * @property Carbon $last_seen_at
 * @property Carbon|null $ended_at
 * @property-read Person $person
 */
final class WorkSpell extends Model
{
    /** Nobody was seen for this long: the hands had left by then. */
    public const FORGOTTEN_MINUTES = 30;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['began_at' => 'datetime', 'last_seen_at' => 'datetime', 'ended_at' => 'datetime'];

    /**
     * The minutes of some spells together, a forgotten one counted up to when its hands had left.
     *
     * @return array{string, list<string>} an SQL expression, and what is bound to it
     */
    public static function minutes(): array
    {
        return [
            sprintf(
                "sum(extract(epoch from coalesce(ended_at, least(?::timestamptz, last_seen_at + interval '%d minutes')) - began_at)) / 60",
                self::FORGOTTEN_MINUTES,
            ),
            [now()->toIso8601String()],
        ];
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
