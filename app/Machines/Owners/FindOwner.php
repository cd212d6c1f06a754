<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** The owner that is meant. Two of the same name stay two: which of them, or whether it is a third, is somebody’s to say. */
final readonly class FindOwner
{
    /** @throws InputError at ownerId or ownerName */
    public function find(OwnerChoice $choice): Owner
    {
        if ($choice->id !== null) {
            return Owner::known()->find($choice->id)
                ?? throw InputError::at('ownerId', 'This owner is not here any more: merged with another, or erased. Choose again.');
        }
        $name = (string) $choice->name;
        // two who bring the same name do so one after the other
        DB::select('SELECT pg_advisory_xact_lock(?, hashtext(?))', [0x0DE, mb_strtolower($name)]);
        $same = Owner::known()->whereRaw('lower(name) = lower(?)', [$name])->orderBy('id')->get();
        if ($choice->byTable) {
            $fits = $same->filter(
                static fn (Owner $owner): bool => $choice->contact === null
                    || $owner->contact === null
                    || $owner->contact === $choice->contact,
            );
            if ($fits->count() === 1) {
                return $this->reached($fits->firstOrFail(), $choice->contact);
            }
        } elseif ($same->isNotEmpty() && ! $choice->isAnother) {
            throw InputError::at('ownerName', sprintf(
                'There is an owner of this name already (%s). Choose that one, or say that this is another.',
                $same->map(static fn (Owner $owner): string => $owner->contact ?? 'no contact')->implode('; '),
            ));
        }

        return Owner::query()->create(['name' => $name, 'contact' => $choice->contact])->refresh();
    }

    private function reached(Owner $owner, ?string $contact): Owner
    {
        if ($contact !== null && $owner->contact === null) {
            $owner->update(['contact' => $contact]);
        }

        return $owner;
    }
}
