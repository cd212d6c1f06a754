<?php

declare(strict_types=1);

namespace App\Stock\Made;

use App\Stock\Parts\Part;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How a part is made here.
 *
 * @property int $id
 * @property int $part_id
 * @property string $material
 * @property string $grams in one
 * @property int $price_per_kg_minor
 * @property string $print_minutes they run by themselves
 * @property string $hand_minutes
 * @property string|null $file
 * @property string|null $file_name
 * @property string|null $how
 * @property-read Part $part
 */
final class Recipe extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }
}
