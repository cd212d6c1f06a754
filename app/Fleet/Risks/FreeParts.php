<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Stock\Kits\Reservation;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use OddBench\Knowledge\Knowledge;

/** How many of what each family gets lie on the shelf, promised to nobody. */
final readonly class FreeParts
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  list<RiskRow>  $rows
     * @return array<string, array<string, int>> family => class =>
     */
    public function of(array $rows): array
    {
        $wanted = [];
        foreach ($rows as $row) {
            $wanted[$row->family][$row->class] = $row->class;
        }
        if ($wanted === []) {
            return [];
        }
        $best = PartChoice::best(array_map(array_values(...), $wanted), $this->knowledge);
        $ids = [];
        foreach ($best as $parts) {
            $ids = [...$ids, ...array_map(static fn (Part $p): int => $p->id, array_values($parts))];
        }
        $promised = Reservation::query()->whereIn('part_id', array_unique($ids))->selectRaw('part_id, sum(quantity) AS q')
            ->groupBy('part_id')
            ->toBase()
            ->pluck('q', 'part_id');

        return array_map(static fn (array $parts): array => array_map(
            static fn (Part $p): int => max(0, $p->on_hand - (int) ($promised[$p->id] ?? 0)),
            $parts,
        ), $best);
    }
}
