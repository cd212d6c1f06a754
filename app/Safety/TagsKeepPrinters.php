<?php

declare(strict_types=1);

namespace App\Safety;

use App\Machines\KeepsPrinter;
use App\Machines\Machine;

/** A machine that wears a red tag stays unplugged: nobody asks its printer anything. */
final readonly class TagsKeepPrinters implements KeepsPrinter
{
    public function reasonNotToAsk(Machine $machine): ?string
    {
        return RedTag::wornBy($machine->id) === null
            ? null
            : "{$machine->tag} wears a red tag: it stays unplugged, and is asked nothing.";
    }
}
