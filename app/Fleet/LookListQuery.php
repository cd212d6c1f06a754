<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Intake\Job;
use App\Machines\Machine;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\LookCount;
use OddBench\Knowledge\Knowledge;

/** Reads look-lists: one with its machines, all of them, or those a machine stands on. */
final readonly class LookListQuery
{
    private const MOST = 50;

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function one(LookList $list): LookListView
    {
        $list->load(['job.machine', 'openedBy', 'owed.machine', 'owed.lookedBy']);
        $owed = $list->owed->sortBy([fn (LookOwed $a, LookOwed $b): int => [
            $a->looked_at !== null,
            $a->affected !== true,
            $a->machine->tag,
        ] <=> [$b->looked_at !== null, $b->affected !== true, $b->machine->tag]]);
        $open = Job::openOf($owed->map(static fn (LookOwed $o): int => $o->machine_id));
        $count = LookCount::of($owed->count(), $owed->whereNotNull('looked_at')->count(), $owed->where('affected', true)->count());
        $check = $this->knowledge->checks[$list->look] ?? null;
        $fault = $this->knowledge->faults[$list->fault] ?? null;
        $cautions = array_map(fn (string $hazard): string => $this->knowledge->hazards[$hazard] ?? $hazard, $check->hazards ?? []);

        return new LookListView(
            id: $list->id,
            fault: $list->fault,
            name: $fault->name ?? $list->fault,
            danger: $fault->danger ?? false,
            look: $check->name ?? $list->look,
            minutes: $check->minutes ?? 0.0,
            steps: $check->steps ?? [],
            cautions: array_values(array_filter([$check?->caution, ...$cautions])),
            because: $list->because,
            foundInJob: $list->job_id,
            foundOn: $list->job->machine->tag,
            by: $list->openedBy->name,
            openedAt: $list->opened_at->toIso8601String(),
            closedAt: $list->closed_at?->toIso8601String(),
            all: $count->all,
            looked: $count->looked,
            affected: $count->affected,
            share: $count->share(),
            shareLow: $count->interval()[0] ?? null,
            shareHigh: $count->interval()[1] ?? null,
            said: $count->because(),
            machines: array_values($owed->map(fn (LookOwed $o): LookView => LookView::of(
                $o,
                $this->knowledge,
                $open[$o->machine_id] ?? null,
            ))->all()),
        );
    }

    public function all(): LookListsView
    {
        return new LookListsView($this->lines(null));
    }

    /** @return list<LookListLine> the open lists this machine stands on */
    public function ofMachine(Machine $machine): array
    {
        return $this->lines($machine);
    }

    /** @return list<LookListLine> */
    private function lines(?Machine $machine): array
    {
        $rows = DB::table('look_lists as l')->join('looks_owed as o', 'o.look_list_id', '=', 'l.id')
            ->when(
                $machine !== null,
                fn ($q) => $q->whereNull('l.closed_at')
                    ->whereExists(fn ($own) => $own->from('looks_owed as w')->whereColumn('w.look_list_id', 'l.id')->where(
                        'w.machine_id',
                        $machine?->id,
                    )),
            )
            ->groupBy('l.id', 'l.fault', 'l.look', 'l.closed_at')
            ->selectRaw(
                'l.id, l.fault, l.look, l.closed_at, count(*) as machines, count(o.looked_at) as looked, count(*) FILTER (WHERE o.affected) as affected, bool_or(o.affected) FILTER (WHERE o.machine_id = ?) as here',
                [$machine->id ?? 0],
            )
            ->orderByRaw('l.closed_at IS NOT NULL, l.id DESC')->limit(self::MOST)->get();

        return array_values($rows->map(fn (object $row): LookListLine => new LookListLine(
            (int) $row->id,
            $this->knowledge->faultName($row->fault),
            $this->knowledge->checks[$row->look]->name ?? $row->look,
            (int) $row->machines,
            (int) $row->looked,
            (int) $row->affected,
            $row->closed_at !== null,
            $row->here === null ? null : (bool) $row->here,
        ))->all());
    }
}
