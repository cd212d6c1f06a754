<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Machines\Machine;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Two that turned out to be one: the machines go over, and what was known of the first where nothing is known of the second. */
final readonly class MergeOwners
{
    /** @throws InputError at into */
    public function merge(Owner $owner, int $into): Owner
    {
        if ($owner->id === $into) {
            throw InputError::at('into', 'That is the same one. Choose the other.');
        }

        return DB::transaction(static function () use ($owner, $into): Owner {
            // always in the same order, so that two who merge the same do not wait for each other
            $both = Owner::known()->whereIn('id', [$owner->id, $into])->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            $from = $both->get($owner->id) ?? throw InputError::at('into', 'This owner was merged or erased meanwhile.');
            $to = $both->get($into) ?? throw InputError::at('into', 'That owner is not here any more. Choose again.');
            Machine::query()->where('owner_id', $from->id)->update(['owner_id' => $to->id, 'updated_at' => now()]);
            $to->update([
                'contact' => $to->contact ?? $from->contact,
                'address' => $to->address ?? $from->address,
                'notes' => trim("{$to->notes}\n{$from->notes}") ?: null,
            ]);
            $from->update(['merged_into' => $to->id]);

            return $to;
        });
    }
}
