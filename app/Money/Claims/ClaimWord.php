<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What was said of a claim; never changed.
 *
 * @property int $id
 * @property int $claim_id
 * @property 'we'|'they' $said_by
 * @property string $text
 * @property Carbon $said_on
 * @property Carbon $at
 * @property-read Person $person
 */
final class ClaimWord extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['said_on' => 'date', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
