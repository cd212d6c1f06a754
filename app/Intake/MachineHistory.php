<?php

declare(strict_types=1);

namespace App\Intake;

use App\Machines\KeepsHistory;
use App\Machines\Machine;
use App\Machines\StandsAgainst;
use App\Shop\Person;

/** What happens to a machine outside its jobs stands in the same record. */
final readonly class MachineHistory implements KeepsHistory, StandsAgainst
{
    public function note(Machine $machine, Person $by, string $kind, string $text): void
    {
        JobEvent::query()->create([
            'machine_id' => $machine->id,
            'version' => 0,
            'kind' => $kind,
            'text' => $text,
            'hours' => $machine->hours,
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }

    public function moving(Machine $machine, string $place): ?string
    {
        $open = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->value('id');

        return $open === null ? null : "{$machine->tag} is on the bench, as job {$open}. It goes out of that at Send out.";
    }
}
