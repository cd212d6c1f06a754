<?php

declare(strict_types=1);

namespace App\Shop\Security;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something a lead may want to know of.
 *
 * @property int $id
 * @property Carbon $at
 * @property string $what a code of Watched
 * @property int|null $person_id
 * @property string|null $about
 * @property string|null $address
 * @property int $status of HTTP: 400 and over was refused
 * @property-read Person|null $person
 */
final class SecurityEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
