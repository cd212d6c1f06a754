<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Refused;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A spool of filament.
 *
 * @property int $id
 * @property string $code
 * @property string $material
 * @property string|null $colour
 * @property string|null $lot
 * @property string $net_g of filament, when it was new
 * @property string $empty_g the spool alone
 * @property string $left_g
 * @property int $price_per_kg_minor
 * @property Carbon|null $made_on
 * @property Carbon|null $opened_at
 * @property Carbon|null $dried_at
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property-read Collection<int, SpoolEvent> $events
 */
final class Spool extends Model
{
    protected $guarded = [];

    protected $casts = ['made_on' => 'date', 'opened_at' => 'datetime', 'dried_at' => 'datetime', 'ended_at' => 'datetime'];

    /** @throws Refused when there is none */
    public static function coded(string $code): self
    {
        return self::query()->where('code', mb_strtoupper(trim($code)))->first() ?? throw Refused::notFound(
            'spool',
            "There is no spool “{$code}”. Its code stands on its label, such as S12.",
        );
    }

    /** @return HasMany<SpoolEvent, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(SpoolEvent::class);
    }
}
