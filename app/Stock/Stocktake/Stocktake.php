<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Shelf\Bins;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Bins counted without seeing what should be in them.
 *
 * @property int $id
 * @property string $bins only bins that begin so
 * @property Carbon $started_at
 * @property Carbon|null $ended_at
 * @property bool $posted
 * @property-read Person $person
 */
final class Stocktake extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['started_at' => 'datetime', 'ended_at' => 'datetime', 'posted' => 'boolean'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @throws Refused when nothing can be counted in it any more */
    public function refuseEnded(): void
    {
        if ($this->ended_at !== null) {
            throw Refused::because('stocktake', 'This stocktake is ended. Start another one.');
        }
    }
}
