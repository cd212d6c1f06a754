<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Machines\Fitting;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Movement;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\BatchTrace;

/** Where the parts of a bad batch went. */
final readonly class BatchesQuery
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @return list<BatchView> of this part, those that stand */
    public function of(Part $part): array
    {
        $bad = BadBatch::query()->with(['movement', 'person'])
            ->whereNull('lifted_at')
            ->whereHas('movement', static fn ($q) => $q->where('part_id', $part->id))
            ->orderBy('id')
            ->get();
        if ($bad->isEmpty()) {
            return [];
        }
        $all = BatchMachines::flow($part);

        return array_values($bad->map(function (BadBatch $b) use ($all): BatchView {
            $trace = BatchTrace::of($all, $b->movement_id);
            $movements = Movement::query()->with('job.machine')
                ->whereIn('id', array_keys($trace->taken))
                ->where('kind', 'used')
                ->orderBy('id')
                ->get();
            $there = Fitting::query()->whereIn('movement_id', $movements->pluck('id'))
                ->whereNull('removed_at')
                ->pluck('movement_id')
                ->all();

            return new BatchView(
                $b->id,
                $b->movement_id,
                $b->movement->batch,
                $b->because,
                $b->person->name,
                $b->at->toIso8601String(),
                $trace->left['likely'],
                $trace->left['most'],
                $this->traced($movements, $trace, $there),
            );
        })->all());
    }

    /**
     * @param  Collection<int, Movement>  $movements
     * @param  array<array-key, mixed>  $there  movements whose part sits where it was fitted
     * @return list<TracedView> the surest first
     */
    private function traced(Collection $movements, BatchTrace $trace, array $there): array
    {
        $order = ['certain' => 0, 'likely' => 1, 'possible' => 2];

        return array_values($movements->filter(static fn (Movement $m): bool => $m->job !== null)->map(function (Movement $m) use ($trace, $there): TracedView {
            $of = $trace->taken[$m->id];
            $machine = $m->job?->machine;
            $position = $m->position === null || $machine === null ? null : $this->knowledge->positionName($machine->family, $m->position);

            return new TracedView(
                $m->id,
                (int) $m->job_id,
                $machine->tag ?? '',
                $position,
                $m->at->toIso8601String(),
                $of['sure'] > 0 ? 'certain' : ($of['likely'] > 0 ? 'likely' : 'possible'),
                in_array($m->id, $there, true),
            );
        })->sortBy([static fn (TracedView $a, TracedView $b): int => [$order[$a->odds], $a->movement] <=> [$order[$b->odds], $b->movement]])->all());
    }
}
