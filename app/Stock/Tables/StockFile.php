<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A table of parts, stock or movements that came in, tried before it counts.
 *
 * @property int $id
 * @property 'parts'|'stock'|'movements' $kind
 * @property string $name
 * @property string $path
 * @property string $hash
 * @property array<string, int>|null $counts fate => rows
 * @property Carbon $at
 * @property Carbon|null $applied_at
 * @property-read Person $person
 */
final class StockFile extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['counts' => 'array', 'at' => 'datetime', 'applied_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
