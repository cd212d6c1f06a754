<?php

declare(strict_types=1);

namespace App\Safety;

use App\Machines\Machine;
use App\Machines\Place;
use App\Machines\StandsAgainst;

/** A machine that wears a red tag goes nowhere it would be switched on. */
final readonly class TagsStandAgainst implements StandsAgainst
{
    public function moving(Machine $machine, string $place): ?string
    {
        if (in_array($place, [Place::Donor->value, Place::Scrap->value], true) || RedTag::wornBy($machine->id) === null) {
            return null;
        }

        return "{$machine->tag} wears a red tag: it can only be taken apart or scrapped until that is off.";
    }
}
