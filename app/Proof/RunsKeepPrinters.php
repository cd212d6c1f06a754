<?php

declare(strict_types=1);

namespace App\Proof;

use App\Machines\KeepsPrinter;
use App\Machines\Machine;
use App\Proof\Run\HeatState;
use App\Proof\Run\ProofRun;

/** One printer, one who speaks with it. */
final readonly class RunsKeepPrinters implements KeepsPrinter
{
    public function reasonNotToAsk(Machine $machine): ?string
    {
        $runs = ProofRun::query()->where('machine_id', $machine->id)
            ->where(static fn ($q) => $q->whereNull('ended_at')->orWhereIn('heat', HeatState::MAY_BE_ON))
            ->exists();

        return $runs ? "A proof run speaks with {$machine->tag} now, or its heaters are not known to be off. Look at that first." : null;
    }
}
