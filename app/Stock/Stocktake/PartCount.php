<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Shop\Person;
use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How many of a part somebody counted in a bin.
 *
 * @property int $id
 * @property int $bin_count_id
 * @property int $part_id
 * @property int $counted
 * @property int $expected what the shelf said at that moment
 * @property Carbon $at
 * @property-read Person $person
 * @property-read Part $part
 * @property-read BinCount $binCount
 */
final class PartCount extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<BinCount, $this> */
    public function binCount(): BelongsTo
    {
        return $this->belongsTo(BinCount::class);
    }
}
