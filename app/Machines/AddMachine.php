<?php

declare(strict_types=1);

namespace App\Machines;

use App\Machines\Owners\OwnerChoice;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Makes a machine known that is not on the bench: it runs somewhere, and has no job. */
final readonly class AddMachine
{
    public function __construct(private RegisterMachine $register, private NoteHours $hours, private KeepsHistory $history)
    {
    }

    /**
     * @param  'owner'|'farm'|'resale'  $heldAs
     *
     * @throws InputError at the field
     */
    public function add(
        string $family,
        ?string $serial,
        string $heldAs,
        ?OwnerChoice $owner,
        ?int $pricePaidMinor,
        ?float $hours,
        ?string $notes,
        Person $by,
    ): Machine {
        return DB::transaction(function () use ($family, $serial, $heldAs, $owner, $pricePaidMinor, $hours, $notes, $by): Machine {
            $machine = $this->register->register($family, $serial, $heldAs, $owner, $pricePaidMinor);
            $machine->update(['place' => Place::usual($heldAs)->value, 'notes' => $notes]);
            if ($hours !== null) {
                $this->hours->note($machine, $hours, CounterSource::Typed, $by);
            }
            $this->history->note($machine, $by, 'added', 'Made known, '.Place::usual($heldAs)->words());

            return $machine;
        });
    }
}
