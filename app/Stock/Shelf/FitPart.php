<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Refused;
use App\Machines\Fitting;
use App\Machines\Machine;
use App\Stock\Donors\Salvage;
use App\Stock\Parts\Part;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\Fit;
use OddBench\Machines\Seat;

/** Puts a part into a position: what sat there before ends with today’s hours. */
final readonly class FitPart
{
    public function __construct(private Knowledge $knowledge, private Salvage $salvage)
    {
    }

    /**
     * @throws InputError when the family has no such position
     * @throws Refused when the part does not belong there, unless it is said that it is fitted all the same
     */
    public function fit(Machine $machine, string $position, Movement $movement, FitNote $note): void
    {
        $family = $this->knowledge->family($machine->family);
        $of = $family->positions[$position] ?? throw InputError::unknown('position', 'position', $position, array_keys($family->positions));
        $part = $movement->part;
        $refusals = (new Seat($this->knowledge, $family, $of))->refuses(
            $part->name,
            $part->class,
            $part->standsInFor(),
            Fit::kept($part->fits),
            abs($movement->quantity),
        );
        if ($refusals !== [] && ! $note->allTheSame) {
            throw Refused::because(
                'position',
                ...$refusals,
                ...['Choose another position or part; or fit it all the same, with the reason.'],
            );
        }
        $old = $this->end($machine, $position, $note, $movement);
        Fitting::query()->create([
            'machine_id' => $machine->id,
            'position' => $position,
            'part_id' => $movement->part_id,
            'movement_id' => $movement->id,
            'replaces_id' => $old?->id,
            'fitted_at' => $movement->at,
            'fitted_hours' => $machine->hours,
            'job_id' => $movement->job_id,
            'reason' => $note->reason,
            'upgrade' => $note->upgrade || $refusals !== [],
            'had_hours' => $part->grade === 'new' ? 0 : $note->hadHours ?? self::hadHours($part),
            'person_id' => $movement->person_id,
        ]);
    }

    /** The part of an undone movement comes out again; what sat there before it is back. */
    public function unfit(Machine $machine, Movement $movement): void
    {
        $fitting = Fitting::query()->where('movement_id', $movement->id)->whereNull('removed_at')->first();
        if ($fitting === null) {
            return;
        }
        $before = $fitting->replaces_id === null ? null : Fitting::query()->find($fitting->replaces_id);
        $fitting->delete();
        // what came with the machine needs no row while it sits there
        if ($before !== null && $before->movement_id === null && $before->part_id === null) {
            $before->delete();

            return;
        }
        if ($before?->became === 'spare') {
            $this->salvage->undo($machine, $before, $movement);
        }
        $before?->update([
            'removed_at' => null,
            'removed_hours' => null,
            'removed_by' => null,
            'removed_job_id' => null,
            'ended_as' => null,
            'ended_by' => null,
            'became' => null,
            'grade' => null,
        ]);
    }

    /** Hours the used one had that is taken: those of the only one there is. Of several nobody knows which was taken. */
    private static function hadHours(Part $part): ?float
    {
        $there = Movement::query()->where(['part_id' => $part->id, 'kind' => 'salvaged'])
            ->where('quantity', '>', 0)
            ->doesntHave('undoneBy')
            ->latest('id')
            ->first();
        // it is counted out by now: nothing more may lie there
        $onHand = (int) Part::query()->whereKey($part->id)->value('on_hand');

        return $onHand > 0 || $there?->hours === null ? null : (float) $there->hours;
    }

    /** What sat there, ended; nothing where something was taken out before and the position stood empty. */
    private function end(Machine $machine, string $position, FitNote $note, Movement $movement): ?Fitting
    {
        $all = Fitting::query()->where(['machine_id' => $machine->id, 'position' => $position]);
        /** @var Fitting|null $old */
        $old = (clone $all)->whereNull('removed_at')->latest('id')->first()
            ?? ((clone $all)->exists() ? null : Fitting::original($machine, $position));
        $old?->update([
            'removed_at' => now(),
            'removed_hours' => $machine->hours,
            'removed_by' => $movement->person_id,
            'removed_job_id' => $movement->job_id,
            'ended_as' => $note->oldEnded?->value,
            'ended_by' => $movement->id,
            'became' => $note->oldBecame,
            'grade' => $note->oldGrade,
        ]);
        if ($old !== null && $note->oldBecame === 'spare') {
            $this->salvage->keep($machine, $old, $movement->job, $movement->person);
        }

        return $old;
    }
}
