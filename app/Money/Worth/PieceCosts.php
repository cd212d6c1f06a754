<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Machines\Machine;
use App\Stock\Donors\KnowsPieceCosts;
use App\Stock\Shelf\Movement;

/** A part that comes out of a machine which was bought goes on the shelf at its share of the price. */
final readonly class PieceCosts implements KnowsPieceCosts
{
    public function costs(array $machines): array
    {
        $costs = [];
        foreach (Piece::query()->whereIn('machine_id', $machines)->whereNull('gone_at')->whereNotNull('position')->get() as $piece) {
            $costs[$piece->machine_id][(string) $piece->position] = $piece->cost_minor;
        }

        return $costs;
    }

    public function taken(Machine $machine, string $position, Movement $by): void
    {
        Piece::query()->where(['machine_id' => $machine->id, 'position' => $position])
            ->whereNull('gone_at')
            ->update(['movement_id' => $by->id, 'gone_at' => now()]);
    }
}
