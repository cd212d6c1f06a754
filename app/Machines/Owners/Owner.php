<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Machines\Machine;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A person or a company whose machines come here.
 *
 * @property int $id
 * @property string $name
 * @property bool $company
 * @property string|null $contact how they are reached
 * @property string|null $address
 * @property string|null $notes
 * @property int|null $merged_into who it turned out to be
 * @property Carbon|null $erased_at on request: the name and all that leads to them is gone
 * @property Carbon $created_at
 */
final class Owner extends Model
{
    protected $guarded = [];

    protected $casts = ['company' => 'boolean', 'erased_at' => 'datetime'];

    /** @return HasMany<Machine, $this> */
    public function machines(): HasMany
    {
        return $this->hasMany(Machine::class);
    }

    /**
     * Those there are: neither merged into another nor erased.
     *
     * @return Builder<self>
     */
    public static function known(): Builder
    {
        return self::query()->whereNull('merged_into')->whereNull('erased_at');
    }
}
