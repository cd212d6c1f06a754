<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Machines\Machine;
use Illuminate\Support\Facades\DB;

/**
 * Erases an owner on request. The machines stay with what was done to them and when: warranty, and what the books rest on. The name,
 * the ways to reach them and what was noted of them go, and what the labels opened does not open any more. For how long the rest
 * is kept, local law says.
 */
final readonly class EraseOwner
{
    /** @param  iterable<SaysToOwner>  $rooms */
    public function __construct(private iterable $rooms)
    {
    }

    public function erase(Owner $owner): Owner
    {
        return DB::transaction(function () use ($owner): Owner {
            $owner = Owner::query()->lockForUpdate()->findOrFail($owner->id);
            // whoever was merged into this one was the same person
            foreach (Owner::query()->where('merged_into', $owner->id)->get()->push($owner) as $one) {
                $one->update([
                    'name' => "erased owner {$one->id}",
                    'contact' => null,
                    'address' => null,
                    'notes' => null,
                    'erased_at' => now(),
                ]);
                foreach ($this->rooms as $room) {
                    $room->forgets($one);
                }
            }
            foreach (Machine::query()->where('owner_id', $owner->id)->get() as $machine) {
                $machine->update(['page_key' => Machine::freshKey(), 'notes' => null]);
            }

            return $owner;
        });
    }
}
