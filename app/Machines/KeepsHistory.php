<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\Person;

/** Keeps a line in a machine’s history, also where no job is open. */
interface KeepsHistory
{
    public function note(Machine $machine, Person $by, string $kind, string $text): void;
}
