<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Machines\Machine;
use App\Stock\Shelf\Movement;

/** Knows what each part of a machine that is taken apart has cost. */
interface KnowsPieceCosts
{
    /**
     * @param  list<int>  $machines  ids
     * @return array<int, array<string, int>> machine id => position => minor units, of what is still in it
     */
    public function costs(array $machines): array;

    /** It was taken out and lies on the shelf. */
    public function taken(Machine $machine, string $position, Movement $by): void;
}
