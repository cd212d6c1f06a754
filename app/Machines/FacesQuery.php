<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Position;
use OddBench\Machines\Faces;

/** Which faces of a machine’s rails have run. */
final class FacesQuery
{
    public function of(Machine $machine, Position $position): Faces
    {
        return $this->from(
            $position,
            RailTurn::query()->where(['machine_id' => $machine->id, 'position' => $position->code])->orderBy('id')->get(),
            Fitting::query()->where(['machine_id' => $machine->id, 'position' => $position->code])
                ->whereNull('removed_at')
                ->first()?->fitted_at,
        );
    }

    /**
     * @param  Collection<int, RailTurn>  $turns  of this position, in order
     * @param  Carbon|null  $fittedAt  what sits there now
     */
    public function from(Position $position, Collection $turns, ?Carbon $fittedAt): Faces
    {
        $since = $turns->filter(static fn (RailTurn $t): bool => $fittedAt === null || $t->at->gte($fittedAt));

        return new Faces($position->faces, array_values($since->map(static fn (RailTurn $t): int => $t->face)->all()));
    }
}
