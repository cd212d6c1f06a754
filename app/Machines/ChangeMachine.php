<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Refused;
use App\Api\Stale;
use App\Machines\Owners\FindOwner;
use App\Machines\Owners\Owner;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Edits what is known of a machine; each change is a line in its history. */
final readonly class ChangeMachine
{
    /** @param  iterable<StandsAgainst>  $rooms */
    public function __construct(
        private RegisterMachine $register,
        private FindOwner $owners,
        private PrinterAt $printers,
        private KeepsHistory $history,
        private Knowledge $knowledge,
        private iterable $rooms,
    ) {
    }

    /**
     * @param  string  $seen  when it was changed last, as whoever edits it saw it
     *
     * @throws InputError at the field
     * @throws Refused where a room stands against it
     * @throws Stale when somebody else changed it since
     */
    public function change(Machine $machine, MachineChange $to, string $seen, Person $by): Machine
    {
        return DB::transaction(function () use ($machine, $to, $seen, $by): Machine {
            $machine = Machine::query()->with('owner')->lockForUpdate()->findOrFail($machine->id);
            if ($machine->updated_at?->toIso8601String() !== $seen) {
                throw Stale::since(['Somebody changed this machine meanwhile. Look at it again; what you typed is kept.'], 0);
            }
            $said = [
                ...$this->family($machine, $to->family),
                ...$this->serial($machine, $to->serial),
                ...$this->held($machine, $to),
                ...$this->place($machine, $to->place),
                ...$this->printer($machine, $to->printerHost, $to->printerPort),
            ];
            if ($machine->notes !== $to->notes) {
                $machine->notes = $to->notes;
                $said[] = $to->notes === null ? 'Notes taken away' : "Notes: {$to->notes}";
            }
            $said = [...$said, ...self::prints($machine, $to)];
            $machine->save();
            foreach ($said as $text) {
                $this->history->note($machine, $by, 'edited', $text);
            }

            return $machine;
        });
    }

    /**
     * A machine of a family that was not known is given the one it turned out to be of; any other stays of its own.
     *
     * @return list<string>
     */
    private function family(Machine $machine, string $family): array
    {
        if ($machine->family === $family) {
            return [];
        }
        $before = $this->knowledge->families[$machine->family] ?? null;
        if ($before?->isUnknown() === false) {
            throw InputError::at(
                'family',
                "{$machine->tag} is a {$before->name}, by which its positions and proofs are kept. Make it known anew under another tag.",
            );
        }
        $now = $this->knowledge->family($family);
        $machine->family = $family;

        return ['Family: '.($before->name ?? 'not known')." turned out to be {$now->name}"];
    }

    /**
     * What it prints as a rule wears its parts.
     *
     * @return list<string>
     */
    private static function prints(Machine $machine, MachineChange $to): array
    {
        $said = [];
        $flags = ['prints_abrasive' => [$to->printsAbrasive, 'abrasive filament'], 'prints_hot' => [$to->printsHot, 'hot material']];
        foreach ($flags as $column => [$now, $words]) {
            if ($now !== null && $machine->getAttribute($column) !== $now) {
                $machine->setAttribute($column, $now);
                $said[] = ($now ? 'Prints ' : 'Does not print ')."{$words} as a rule";
            }
        }

        return $said;
    }

    /** @return list<string> */
    private function serial(Machine $machine, ?string $serial): array
    {
        if ($machine->serial === $serial) {
            return [];
        }
        $this->register->refuseKnownSerial($machine->family, $serial);
        $before = $machine->serial ?? 'none';
        $machine->serial = $serial;

        return ["Serial {$before}, now ".($serial ?? 'none')];
    }

    /** @return list<string> */
    private function held(Machine $machine, MachineChange $to): array
    {
        if (($to->heldAs === 'owner') !== ($to->owner !== null)) {
            throw InputError::at(
                $to->owner === null ? 'ownerName' : 'heldAs',
                $to->owner === null
                    ? 'Whose machine is it? Choose the owner, or give the name.'
                    : 'An owner goes with an owner’s machine only.',
            );
        }
        $owner = $to->owner === null ? null : $this->owners->find($to->owner);
        if ($machine->held_as === $to->heldAs && $machine->owner_id === $owner?->id) {
            return [];
        }
        $before = self::whose($machine->held_as, $machine->owner);
        $machine->held_as = $to->heldAs;
        $machine->owner_id = $owner?->id;
        $machine->setRelation('owner', $owner);
        // whoever had the label before does not see the page of somebody else’s machine
        $machine->page_key = Machine::freshKey();

        return ["Whose: {$before}, now ".self::whose($to->heldAs, $owner).'. Its label is out of date'];
    }

    private static function whose(string $heldAs, ?Owner $owner): string
    {
        return match ($heldAs) {
            'owner' => $owner === null ? 'an owner’s' : "owner {$owner->id}",
            'farm' => 'own farm',
            default => 'bought for resale',
        };
    }

    /** @return list<string> */
    private function place(Machine $machine, Place $place): array
    {
        if ($machine->place === $place->value) {
            return [];
        }
        if ($place === Place::Bench) {
            throw InputError::at('place', 'It comes onto the bench by being booked in.');
        }
        foreach ($this->rooms as $room) {
            $reason = $room->moving($machine, $place->value);
            if ($reason !== null) {
                throw Refused::because('place', $reason);
            }
        }
        $before = Place::from($machine->place)->words();
        $machine->place = $place->value;

        return [ucfirst("{$before}, now {$place->words()}")];
    }

    /** @return list<string> */
    private function printer(Machine $machine, ?string $host, ?int $port): array
    {
        if (($host === null) !== ($port === null)) {
            throw InputError::at(
                $host === null ? 'printerHost' : 'printerPort',
                'A printer is reached by an address and a port: give both or none.',
            );
        }
        if ($machine->printer_host === $host && $machine->printer_port === $port) {
            return [];
        }
        if ($host !== null && $port !== null) {
            try {
                $this->printers->refuseAnothers($machine, $host, $port);
            } catch (InputError $e) {
                throw InputError::at($e->field === 'port' ? 'printerPort' : 'printerHost', $e->getMessage());
            }
        }
        $machine->printer_host = $host;
        $machine->printer_port = $port;

        return [$host === null ? 'Its printer is reached nowhere now' : "Its printer is reached at {$host}, port {$port}"];
    }
}
