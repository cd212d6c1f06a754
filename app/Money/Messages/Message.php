<?php

declare(strict_types=1);

namespace App\Money\Messages;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What an owner was told or answered; never changed.
 *
 * @property int $id
 * @property int $job_id
 * @property 'told'|'answered'|'estimate'|'ready'|'reminder' $kind
 * @property 'phone'|'letter'|'email'|'page'|'counter' $way
 * @property string $text
 * @property int|null $person_id
 * @property Carbon $at
 * @property-read Person|null $person
 */
final class Message extends Model
{
    public const WAYS = ['phone', 'letter', 'email', 'page', 'counter'];

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
