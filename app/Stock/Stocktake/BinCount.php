<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A bin somebody counts.
 *
 * @property int $id
 * @property int $stocktake_id
 * @property string $bin
 * @property Carbon $opened_at
 * @property int $person_id
 * @property Carbon|null $done_at
 * @property-read Stocktake $stocktake
 * @property-read Person $person
 * @property-read Collection<int, PartCount> $counts
 */
final class BinCount extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['opened_at' => 'datetime', 'done_at' => 'datetime'];

    /** @return BelongsTo<Stocktake, $this> */
    public function stocktake(): BelongsTo
    {
        return $this->belongsTo(Stocktake::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<PartCount, $this> */
    public function counts(): HasMany
    {
        return $this->hasMany(PartCount::class);
    }
}
