<?php

declare(strict_types=1);

namespace App\Stock;

use App\Api\Refused;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A part in a bin.
 *
 * @property int $id
 * @property string $number
 * @property string $name
 * @property string $class
 * @property string $bin
 * @property int $on_hand
 * @property int $value_minor
 * @property Carbon $created_at
 */
final class Part extends Model
{
    protected $guarded = [];

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class);
    }

    /** @throws Refused when there is none */
    public static function numbered(string $number): self
    {
        return self::query()->where('number', $number)->first() ?? throw Refused::notFound('part', "There is no part “{$number}” on the shelf. Check the number, or make it known at Shelf first.");
    }
}
