<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\ServiceDue;

/** What comes round on machines, and how far off it is. */
final readonly class ServiceQuery
{
    public function __construct(private Knowledge $knowledge, private HoursQuery $hours)
    {
    }

    /**
     * @param  Collection<int, Machine>  $machines
     * @return array<int, list<ServiceDue>> machine id => the most due first
     */
    public function of(Collection $machines): array
    {
        $last = ServiceDone::query()->whereIn('machine_id', $machines->pluck('id'))->orderBy('id')->get()
            ->keyBy(static fn (ServiceDone $d): string => "{$d->machine_id} {$d->item}");
        $due = [];
        $run = $this->hours->of($machines);
        $now = now()->getTimestamp();
        foreach ($machines as $machine) {
            $judged = $run[$machine->id] ?? null;
            $hours = $judged->hours ?? $machine->hoursRun();
            $known = $machine->created_at->getTimestamp();
            $of = [];
            foreach ($this->knowledge->serviceOf($machine->family) as $item) {
                $done = $last->get("{$machine->id} {$item->code}");
                $of[] = ServiceDue::of(
                    $item,
                    $hours === null ? null : $hours - (float) ($done->hours ?? 0),
                    abs($now - ($done === null ? $known : $done->at->getTimestamp())) / 86_400,
                    $done !== null,
                    $judged === null || $judged->read ? null : $judged->perWeek,
                );
            }
            usort($of, static fn (ServiceDue $a, ServiceDue $b): int => $b->share <=> $a->share);
            $due[$machine->id] = $of;
        }

        return $due;
    }
}
