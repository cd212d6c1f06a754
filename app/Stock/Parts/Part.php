<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\Refused;
use App\Stock\Made\Recipe;
use App\Stock\Shelf\Movement;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Stock\Holding;

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
 * @property string $words what people call it, besides its name
 * @property string|null $notes
 * @property array<array-key, mixed> $fits
 * @property int|null $shelf_life_weeks its own; nothing for its class’s
 * @property string|null $photo
 * @property int|null $used_of_id
 * @property 'new'|'tested'|'untested' $grade
 * @property int|null $successor_id
 * @property int|null $counts_with_id
 * @property int $version
 * @property Carbon $created_at
 * @property-read Part|null $successor
 * @property-read Part|null $usedOf
 * @property-read Recipe|null $recipe
 * @property-read Collection<int, Part> $substitutes
 */
final class Part extends Model
{
    protected $guarded = [];

    protected $casts = ['fits' => 'array'];

    /** what the database starts a part with */
    protected $attributes = ['words' => '', 'fits' => '{}', 'grade' => 'new', 'version' => 1, 'on_hand' => 0, 'value_minor' => 0];

    protected static function booted(): void
    {
        self::saved(static function (self $part): void {
            if ($part->wasRecentlyCreated || $part->wasChanged(['number', 'name', 'words'])) {
                self::index([$part->id]);
            }
        });
    }

    public function holding(): Holding
    {
        return new Holding($this->on_hand, $this->value_minor);
    }

    /**
     * Writes down all the words parts are found by: their own and their suppliers’ numbers.
     *
     * @param  list<int>  $ids
     */
    public static function index(array $ids): void
    {
        DB::update(
            "UPDATE parts SET search = lower(concat_ws(' ', number, name, nullif(words, ''), (SELECT string_agg(s.number, ' ' ORDER BY s.number) FROM supplies s WHERE s.part_id = parts.id))) WHERE id = ANY (?::bigint[])",
            ['{'.implode(',', $ids).'}'],
        );
    }

    /** @return BelongsTo<Part, $this> */
    public function successor(): BelongsTo
    {
        return $this->belongsTo(self::class, 'successor_id');
    }

    /** @return BelongsTo<Part, $this> */
    public function usedOf(): BelongsTo
    {
        return $this->belongsTo(self::class, 'used_of_id');
    }

    /** @return HasOne<Recipe, $this> */
    public function recipe(): HasOne
    {
        return $this->hasOne(Recipe::class);
    }

    /** @return BelongsToMany<Part, $this> */
    public function substitutes(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'part_substitutes', 'part_id', 'substitute_id')->withPivot('note');
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class);
    }

    /** @throws Refused when there is none */
    public static function numbered(string $number): self
    {
        return self::query()->where('number', $number)->first() ?? throw Refused::notFound(
            'part',
            "There is no part “{$number}” on the shelf. Check the number, or make it known at Shelf first.",
        );
    }

    /** @return list<string> classes of the parts it is declared a substitute of */
    public function standsInFor(): array
    {
        /** @var list<string> */
        return DB::table('part_substitutes')->join('parts', 'parts.id', '=', 'part_substitutes.part_id')
            ->where('substitute_id', $this->id)
            ->distinct()
            ->pluck('class')
            ->all();
    }
}
