<?php

declare(strict_types=1);

namespace App\Machines;

use App\Machines\Owners\FindOwner;
use App\Machines\Owners\OwnerChoice;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Tag;

/** Makes a machine known: gives it the next tag of its family. */
final readonly class RegisterMachine
{
    public function __construct(private Knowledge $knowledge, private FindOwner $owners)
    {
    }

    /**
     * @param  'owner'|'farm'|'resale'  $heldAs
     *
     * @throws InputError for an unknown family, a serial that is known already, or an owner or price that does not fit
     */
    public function register(
        string $family,
        ?string $serial,
        string $heldAs,
        ?OwnerChoice $owner,
        ?int $pricePaidMinor,
    ): Machine {
        $known = $this->knowledge->family($family);
        if (($heldAs === 'owner') !== ($owner !== null)) {
            throw InputError::at(
                'ownerName',
                $heldAs === 'owner' ? 'Whose machine is it? Give the owner’s name.' : 'An owner’s name goes with an owner’s machine only.',
            );
        }
        if ($pricePaidMinor !== null && $heldAs !== 'resale') {
            throw InputError::at('pricePaidMinor', 'A price paid goes with a machine bought for resale only.');
        }

        return DB::transaction(function () use ($known, $serial, $heldAs, $owner, $pricePaidMinor): Machine {
            $letters = $known->letters;
            DB::table('tag_counters')->insertOrIgnore(['letters' => $letters]);
            $next = (int) DB::table('tag_counters')->where('letters', $letters)->lockForUpdate()->value('next');
            $this->refuseKnownSerial($known->code, $serial);
            DB::table('tag_counters')->where('letters', $letters)->update(['next' => $next + 1]);

            return Machine::query()->create([
                'tag' => Tag::nth($letters, $next)->text(),
                'family' => $known->code,
                'serial' => $serial,
                'held_as' => $heldAs,
                'owner_id' => $owner === null ? null : $this->owners->find($owner)->id,
                'price_paid_minor' => $pricePaidMinor,
            ])->refresh();
        });
    }

    /** @throws InputError at serial */
    public function refuseKnownSerial(string $family, ?string $serial): void
    {
        $known = $serial === null ? null : Machine::query()->where(['family' => $family, 'serial' => $serial])->value('tag');
        if (is_string($known)) {
            throw InputError::at(
                'serial',
                "A machine of this family with the serial {$serial} is known already: it is {$known}. Book that one in.",
            );
        }
    }
}
