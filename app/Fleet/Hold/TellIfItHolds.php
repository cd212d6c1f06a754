<?php

declare(strict_types=1);

namespace App\Fleet\Hold;

use App\Machines\KnowsIfItHolds;
use App\Machines\Machine;

/** Tells whoever asks whether a machine is worth another mend that it does not hold. */
final readonly class TellIfItHolds implements KnowsIfItHolds
{
    public function __construct(private HoldQuery $hold)
    {
    }

    public function of(Machine $machine, float $hours): ?array
    {
        $holds = $this->hold->ofMachine($machine);
        $chance = $holds?->staysOut($hours);

        return $holds === null || $chance === null ? null : ['chance' => $chance, 'because' => $holds->because()];
    }
}
