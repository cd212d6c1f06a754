<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\Refused;
use App\Api\Stale;
use App\Machines\Machine;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Draws racks, and says what stands where in them. */
final readonly class KeepRacks
{
    private const MOST_RACKS = 60;

    public function draw(string $name, int $shelves, int $places): Rack
    {
        return DB::transaction(function () use ($name, $shelves, $places): Rack {
            DB::statement('LOCK TABLE racks IN SHARE ROW EXCLUSIVE MODE');
            $this->refuseTwice($name, null);
            if (Rack::query()->count() >= self::MOST_RACKS) {
                throw Refused::because('name', sprintf('There are %d racks. A farm is drawn with so many at most.', self::MOST_RACKS));
            }

            return Rack::query()->create([
                'name' => $name,
                'shelves' => $shelves,
                'places' => $places,
                'sort' => 1 + (int) Rack::query()->max('sort'),
            ]);
        });
    }

    /** @throws Refused when something stands where nothing would be left */
    public function redraw(Rack $rack, string $name, int $shelves, int $places, int $version): Rack
    {
        return DB::transaction(function () use ($rack, $name, $shelves, $places, $version): Rack {
            DB::statement('LOCK TABLE racks IN SHARE ROW EXCLUSIVE MODE');
            $rack = Rack::query()->lockForUpdate()->findOrFail($rack->id);
            if ($rack->version !== $version) {
                throw Stale::since(["{$rack->name} has {$rack->shelves} × {$rack->places} places now"], $rack->version);
            }
            $this->refuseTwice($name, $rack->id);
            $out = $this->standing($rack)
                ->where(static fn ($q) => $q->where('shelf', '>', $shelves)->orWhere('place', '>', $places))
                ->get();
            if ($out->isNotEmpty()) {
                throw Refused::because('shelves', 'There would be no place left for '
                    .$out->map(static fn (RackPlace $p): string => $p->machine->tag)->implode(', ').'. Put them elsewhere first.');
            }
            $rack->update(['name' => $name, 'shelves' => $shelves, 'places' => $places, 'version' => $version + 1]);

            return $rack;
        });
    }

    /** The rack is gone; what stood in it stands nowhere that is drawn. */
    public function takeDown(Rack $rack): void
    {
        DB::transaction(static function () use ($rack): void {
            $rack = Rack::query()->lockForUpdate()->findOrFail($rack->id);
            RackPlace::query()->where('rack_id', $rack->id)->delete();
            $rack->delete();
        });
    }

    /**
     * @param  bool  $swap  what stands there goes where this one stood
     *
     * @throws Refused when another machine stands there
     */
    public function put(Machine $machine, Rack $rack, int $shelf, int $place, bool $swap): void
    {
        DB::transaction(function () use ($machine, $rack, $shelf, $place, $swap): void {
            $rack = Rack::query()->lockForUpdate()->findOrFail($rack->id);
            if ($shelf > $rack->shelves || $place > $rack->places) {
                throw InputError::at(
                    'place',
                    "{$rack->name} has {$rack->shelves} × {$rack->places} places: there is no place {$place} on shelf {$shelf}.",
                );
            }
            $there = $this->standing($rack)->where(['shelf' => $shelf, 'place' => $place])
                ->where('machine_id', '<>', $machine->id)
                ->first();
            $own = RackPlace::query()->lockForUpdate()->find($machine->id);
            if ($there !== null && ! $swap) {
                throw Refused::because(
                    'place',
                    "{$there->machine->tag} stands there. Two cannot stand in one place: swap them, or choose another.",
                );
            }
            $own?->delete();
            if ($there !== null) {
                $there->delete();
                if ($own !== null) {
                    RackPlace::query()->create([
                        'machine_id' => $there->machine_id, 'rack_id' => $own->rack_id, 'shelf' => $own->shelf, 'place' => $own->place,
                    ]);
                }
            }
            RackPlace::query()->create(['machine_id' => $machine->id, 'rack_id' => $rack->id, 'shelf' => $shelf, 'place' => $place]);
        });
    }

    public function takeOut(Machine $machine): void
    {
        RackPlace::query()->where('machine_id', $machine->id)->delete();
    }

    /** @return \Illuminate\Database\Eloquent\Builder<RackPlace> */
    private function standing(Rack $rack): \Illuminate\Database\Eloquent\Builder
    {
        return RackPlace::query()->with('machine')->where('rack_id', $rack->id)->lockForUpdate();
    }

    private function refuseTwice(string $name, ?int $but): void
    {
        if (Rack::query()->whereRaw('lower(name) = lower(?)', [$name])->whereKeyNot($but ?? 0)->exists()) {
            throw Refused::because('name', "There is a rack {$name} already.");
        }
    }
}
