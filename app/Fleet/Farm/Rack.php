<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * A rack as it stands in the room: shelves, and places on each.
 *
 * @property int $id
 * @property string $name
 * @property int $shelves
 * @property int $places  on a shelf
 * @property int $sort
 * @property int $version
 * @property-read Collection<int, RackPlace> $taken
 */
final class Rack extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['sort' => 0, 'version' => 1];

    /** @return HasMany<RackPlace, $this> */
    public function taken(): HasMany
    {
        return $this->hasMany(RackPlace::class);
    }

    /**
     * @param  list<int>  $machines
     * @return array<int, string> machine id => where it stands, in words
     */
    public static function standing(array $machines): array
    {
        $rows = DB::table('rack_places as t')->join('racks as r', 'r.id', '=', 't.rack_id')->whereIntegerInRaw('t.machine_id', $machines)
            ->get(['t.machine_id', 'r.name', 'r.shelves', 't.shelf', 't.place']);
        $stands = [];
        foreach ($rows as $row) {
            $stands[(int) $row->machine_id] = self::words((string) $row->name, (int) $row->shelves, (int) $row->shelf, (int) $row->place);
        }

        return $stands;
    }

    public static function words(string $name, int $shelves, int $shelf, int $place): string
    {
        return $shelves === 1 ? "{$name}, {$place}" : "{$name}, shelf {$shelf}, {$place}";
    }
}
