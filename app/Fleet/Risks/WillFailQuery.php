<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Fleet\Farm\Rack;
use App\Fleet\Lives\LifeFit;
use App\Intake\Job;
use App\Machines\Machine;
use App\Repair\Service\PlannedChange;
use App\Shop\Ability;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Fleet\Visit;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\Exact;
use stdClass;

/** What is likely to fail on the farm within a span, gathered into visits. */
final readonly class WillFailQuery
{
    private const PAGE = 40;

    /** From this on a part that is not changed by the clock is worth a thought of its spare. */
    private const LIKELY = 0.05;

    private const MOST_OTHERS = 12;

    public function __construct(private Knowledge $knowledge, private Costs $costs, private FreeParts $free)
    {
    }

    public function read(int $weeks, ?string $family, ?string $after): WillFailView
    {
        if ($family !== null) {
            $this->knowledge->family($family, 'family');
        }
        $rows = RiskRows::of($weeks);
        $machines = $this->machines($weeks, $family, $after);
        $next = count($machines) > self::PAGE ? $machines[self::PAGE - 1] : null;
        $machines = array_slice($machines, 0, self::PAGE);
        $ids = array_map(static fn (stdClass $m): int => (int) $m->id, $machines);
        $parts = [];
        foreach (RiskRows::read((clone $rows)->whereIntegerInRaw('r.machine_id', $ids)->where("r.saves_{$weeks}", '<>', 0)) as $row) {
            $parts[$row->machine][$row->position] = $row;
        }
        $others = RiskRows::read($this->ofFamily(clone $rows, $family)->whereNull('r.change_at_h')
            ->where("r.risk_{$weeks}", '>=', self::LIKELY)
            ->orderByDesc("r.risk_{$weeks}")->orderBy('r.machine_id')->orderBy('r.position')
            ->limit(self::MOST_OTHERS));
        $shown = [...array_merge([], ...array_map(array_values(...), array_values($parts))), ...$others];
        $show = new PartRisks($this->knowledge, $this->costs, $this->free->of($shown), $this->planned($ids));
        $open = Job::openOf($ids);
        $stands = Rack::standing($ids);
        $visits = array_values(array_map(
            fn (stdClass $m): VisitView => $this->visit(
                $m,
                $parts[(int) $m->id] ?? [],
                $show,
                $open[(int) $m->id] ?? null,
                $stands[(int) $m->id] ?? null,
            ),
            $machines,
        ));
        $works = 1.0;
        foreach ($visits as $visit) {
            foreach ($visit->parts as $part) {
                $works *= 1 - $part->risk;
            }
        }
        $count = $this->ofFamily($this->farm(), $family)
            ->selectRaw("count(*) AS all, count(*) FILTER (WHERE k.saves_{$weeks} > 0) AS worth")
            ->first();
        $worked = LifeFit::query()->max('at');
        $money = Gate::allows(Ability::SeeMoney);

        return new WillFailView(
            weeks: $weeks,
            machines: (int) ($count->all ?? 0),
            worth: (int) ($count->worth ?? 0),
            oneFails: 1 - $works,
            savesMinor: $money ? array_sum(array_map(static fn (VisitView $v): int => (int) $v->savesMinor, $visits)) : null,
            plannedMinor: $money ? array_sum(array_map(static fn (VisitView $v): int => (int) $v->plannedMinor, $visits)) : null,
            visits: $visits,
            next: $next === null ? null : "{$next->saves} {$next->id}",
            notByTheClock: array_map($show->view(...), $others),
            unknownAge: $this->ofFamily(clone $rows, $family)->whereNotNull('r.not_counted')->count(),
            workedOutAt: is_string($worked) ? Carbon::parse($worked)->toIso8601String() : null,
        );
    }

    /** @return list<stdClass> one more than a page */
    private function machines(int $weeks, ?string $family, ?string $after): array
    {
        $machines = $this->ofFamily($this->farm(), $family)->where("k.saves_{$weeks}", '>', 0)
            ->orderByDesc("k.saves_{$weeks}")
            ->orderBy('m.id')
            ->limit(self::PAGE + 1)
            ->select([
                'm.id', 'm.tag', 'm.family', 'm.place', 'k.hours', 'k.per_week', "k.risk_{$weeks} as risk", "k.saves_{$weeks} as saves",
                'k.service', 'k.service_share',
            ]);
        if ($after !== null && preg_match('/^([0-9.eE+-]{1,30}) ([0-9]{1,15})$/', $after, $key) === 1) {
            $machines->whereRaw(
                "(k.saves_{$weeks} < ?::float8 OR (k.saves_{$weeks} = ?::float8 AND m.id > ?))",
                [(float) $key[1], (float) $key[1], $key[2]],
            );
        }

        return array_values($machines->get()->all());
    }

    /** @param  array<string, RiskRow>  $parts  by position */
    private function visit(stdClass $machine, array $parts, PartRisks $show, ?int $openJob, ?string $stands): VisitView
    {
        $opening = $this->costs->opening();
        $anyway = $machine->place === 'bench';
        $visit = Visit::of(array_map(static fn (RiskRow $r): float => $r->saves, $parts), $opening, $anyway);
        $lines = array_map(static fn (int|string $position): RiskRow => $parts[$position], $visit->parts);
        $planned = array_sum(array_map(static fn (RiskRow $r): float => $r->planned - $opening, $lines)) + ($anyway ? 0.0 : $opening);
        $money = Gate::allows(Ability::SeeMoney);

        return new VisitView(
            tag: $machine->tag,
            familyName: $this->knowledge->familyName($machine->family),
            place: $machine->place,
            stands: $stands,
            openJob: $openJob,
            hours: $machine->hours === null ? null : (float) $machine->hours,
            perWeek: $machine->per_week === null ? null : (float) $machine->per_week,
            risk: (float) $machine->risk,
            savesMinor: $money ? Exact::whole($visit->saves) : null,
            plannedMinor: $money ? Exact::whole($planned) : null,
            serviceDue: (float) $machine->service_share >= 1.0 ? ($this->knowledge->service[$machine->service]->name ?? null) : null,
            parts: array_map($show->view(...), $lines),
        );
    }

    /**
     * @param  list<int>  $machines
     * @return array<string, true> “machine position” =>
     */
    private function planned(array $machines): array
    {
        $planned = [];
        foreach (PlannedChange::query()->join('jobs', 'jobs.id', '=', 'job_id')->whereIntegerInRaw('jobs.machine_id', $machines)
            ->whereNull('jobs.finished_at')->get(['jobs.machine_id', 'position'])->toBase() as $row) {
            $planned["{$row->machine_id} {$row->position}"] = true;
        }

        return $planned;
    }

    private function farm(): Builder
    {
        return DB::table('machine_risks as k')->join('machines as m', 'm.id', '=', 'k.machine_id')->where('m.held_as', 'farm');
    }

    private function ofFamily(Builder $rows, ?string $family): Builder
    {
        return $family === null ? $rows : $rows->where('m.family', $family);
    }
}
