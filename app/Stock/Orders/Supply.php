<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Where a part is bought.
 *
 * @property int $id
 * @property int $part_id
 * @property int $supplier_id
 * @property string|null $number the supplier's
 * @property int $pack how many are in one
 * @property int $pack_cost_minor
 * @property bool $preferred it is ordered there
 * @property int|null $was_minor what a pack cost before
 * @property Carbon|null $changed_at
 * @property-read Supplier $supplier
 * @property-read Part $part
 */
final class Supply extends Model
{
    public $timestamps = false;

    protected $table = 'supplies';

    protected $guarded = [];

    protected $casts = ['preferred' => 'boolean', 'changed_at' => 'datetime'];

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** What a pack costs from now on; what it cost before is kept beside it. */
    public function costs(int $packCostMinor): void
    {
        if ($this->exists && $this->pack_cost_minor !== $packCostMinor) {
            $this->fill(['was_minor' => $this->pack_cost_minor, 'changed_at' => now()]);
        }
        $this->fill(['pack_cost_minor' => $packCostMinor])->save();
    }
}
