<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Api\Refused;
use App\Intake\Job;
use App\Machines\Fitting;
use App\Machines\Machine;
use App\Safety\RedTag;
use App\Shop\Person;
use App\Stock\Parts\AddUsedPart;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Machines\Fit;
use OddBench\Machines\Seat;
use OddBench\Release\Destination;
use OddBench\Stock\SpareGrade;

/** Turns what comes out of machines into graded spares that say where they come from. */
final readonly class Salvage
{
    public function __construct(
        private Knowledge $knowledge,
        private MoveStock $stock,
        private AddUsedPart $used,
        private KnowsPieceCosts $pieces,
    ) {
    }

    /**
     * @param  string|null  $number  which part it is; nothing when that is known from its position
     * @param  string|null  $note  how it was tested, what is to be known of it
     * @param  int|null  $valueMinor  what it is put on the shelf at; null for its share of what the machine cost
     */
    public function fromDonor(
        Machine $machine,
        string $position,
        ?string $number,
        string $grade,
        ?string $note,
        ?int $valueMinor,
        Person $by,
    ): Movement {
        $positions = $this->knowledge->family($machine->family)->positions;
        $of = $positions[$position] ?? throw InputError::unknown('position', 'position', $position, array_keys($positions));

        return DB::transaction(function () use ($machine, $of, $number, $grade, $note, $valueMinor, $by): Movement {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            if ($machine->place !== Destination::Donor->value) {
                throw Refused::because(
                    'machine',
                    "{$machine->tag} is no donor. Send it to the donor shelf first, or take parts out at Fix.",
                );
            }
            $as = SpareGrade::taken($grade, $note, RedTag::wornBy($machine->id) !== null);
            $fitting = $this->left($machine, $of);
            $part = $this->part($machine, $fitting, $number, $of);
            $fitting->update([
                'part_id' => $part->id,
                'removed_at' => now(),
                'removed_hours' => $machine->hours,
                'removed_by' => $by->id,
                'became' => 'spare',
                'grade' => $as->value,
            ]);

            $taken = $this->stock->salvaged(
                $this->used->add($part, $as),
                $valueMinor ?? $this->pieces->costs([$machine->id])[$machine->id][$of->code] ?? 0,
                $machine,
                $of->code,
                self::hours($machine, $fitting),
                $note,
                null,
                $by,
            );
            $this->pieces->taken($machine, $of->code, $taken);

            return $taken;
        });
    }

    /** What was taken out at Fix and kept; nothing when nobody knows which part it is. */
    public function keep(Machine $machine, Fitting $out, ?Job $job, Person $by): ?Movement
    {
        if ($out->part_id === null || $out->grade === null) {
            return null;
        }

        return $this->stock->salvaged(
            $this->used->add(Part::query()->findOrFail($out->part_id), SpareGrade::from($out->grade)),
            0,
            $machine,
            $out->position,
            self::hours($machine, $out),
            null,
            $job,
            $by,
        );
    }

    /**
     * It goes back to where it sat, so it leaves the shelf again.
     *
     * @throws Refused when it has gone into use elsewhere
     */
    public function undo(Machine $machine, Fitting $back, Movement $instead): void
    {
        $kept = Movement::query()->with('part')
            ->where(['kind' => 'salvaged', 'machine_id' => $machine->id, 'position' => $back->position, 'job_id' => $instead->job_id])
            ->where('quantity', '>', 0)
            ->doesntHave('undoneBy')
            ->latest('id')
            ->first();
        if ($kept !== null) {
            $this->stock->notSalvaged($kept, $instead->person);
        }
    }

    /** How long it has run, with what it had before it came there. */
    private static function hours(Machine $machine, Fitting $fitting): ?float
    {
        $fitting->refresh();

        return $fitting->fitted_hours === null || $machine->hours === null || $fitting->had_hours === null
            ? null
            : (float) $fitting->had_hours + (float) $machine->hours - (float) $fitting->fitted_hours;
    }

    /** What sits there; what came with the machine has run as long as the machine. */
    private function left(Machine $machine, Position $position): Fitting
    {
        $all = Fitting::query()->where(['machine_id' => $machine->id, 'position' => $position->code]);

        return (clone $all)->whereNull('removed_at')->first() ?? ((clone $all)->exists()
            ? throw Refused::because('position', "{$position->name} of {$machine->tag} is empty: what sat there was taken.")
            : Fitting::original($machine, $position->code));
    }

    private function part(Machine $machine, Fitting $fitting, ?string $number, Position $position): Part
    {
        $part = $number === null ? ($fitting->part_id === null ? null : Part::query()->find($fitting->part_id)) : Part::numbered($number);
        if ($part === null) {
            throw InputError::at('part', "Nobody noted which part sits in {$position->name}. Give its number.");
        }
        $refusals = (new Seat($this->knowledge, $this->knowledge->family($machine->family), $position))->refuses(
            $part->name,
            $part->class,
            $part->standsInFor(),
            Fit::kept($part->fits),
            1,
        );
        // what sat there on purpose, though it does not belong there, comes out as what it is
        if ($refusals !== [] && $fitting->part_id !== $part->id) {
            throw InputError::at('part', implode(' ', $refusals));
        }

        return $part;
    }
}
