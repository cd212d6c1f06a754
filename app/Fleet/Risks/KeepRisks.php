<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Fleet\Lives\LifeFit;
use App\Fleet\Lives\SeenAt;
use App\Fleet\Lives\SeenQuery;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use App\Machines\Place;
use App\Machines\ServiceQuery;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\LifeBook;
use OddBench\Fleet\NotCounted;
use OddBench\Fleet\PartRisk;
use OddBench\Fleet\Visit;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\HoursJudged;
use OddBench\Machines\ServiceDue;

/** Works out, part by part, what is likely to fail on machines, and keeps it until something changes there or the night comes. */
final readonly class KeepRisks
{
    private const CHUNK = 200;

    public function __construct(
        private Knowledge $knowledge,
        private SeenQuery $seen,
        private HoursQuery $hours,
        private ServiceQuery $service,
        private Costs $costs,
    ) {
    }

    /** @return int of how many machines */
    public function all(): int
    {
        self::forgetGone(Machine::query());
        $done = 0;
        Machine::query()->whereNotIn('place', Place::gone())->chunkById(self::CHUNK, function (Collection $machines) use (&$done): void {
            /** @var Collection<int, Machine> $machines */
            $this->of($machines);
            $done += $machines->count();
        });
        ForetoldUse::sumUp();

        return $done;
    }

    /**
     * Those where something changed since, or that are new.
     *
     * @return int how many were brought up to date
     */
    public function catchUp(): int
    {
        $done = 0;
        Machine::query()->whereNotIn('place', Place::gone())
            ->whereNotExists(static fn ($q) => $q->from('machine_risks')->whereColumn('machine_id', 'machines.id')->where('stale', false))
            ->chunkById(self::CHUNK, function (Collection $machines) use (&$done): void {
                /** @var Collection<int, Machine> $machines */
                $this->of($machines);
                $done += $machines->count();
            });
        if ($done > 0) {
            ForetoldUse::sumUp();
        }

        return $done;
    }

    /** @param  list<int>  $machines  ids */
    public function these(array $machines): void
    {
        self::forgetGone(Machine::query()->whereKey($machines));
        $this->of(Machine::query()->whereKey($machines)->whereNotIn('place', Place::gone())->orderBy('id')->get());
        ForetoldUse::sumUp(array_values(Machine::query()->whereKey($machines)->distinct()->pluck('family')->all()));
    }

    /**
     * What does not come back into use is foretold nothing.
     *
     * @param  Builder<Machine>  $machines
     */
    private static function forgetGone(Builder $machines): void
    {
        $gone = $machines->whereIn('place', Place::gone())->select('id');
        DB::table('position_risks')->whereIn('machine_id', $gone)->delete();
        DB::table('machine_risks')->whereIn('machine_id', $gone)->delete();
    }

    /** @param  Collection<int, Machine>  $machines */
    private function of(Collection $machines): void
    {
        if ($machines->isEmpty()) {
            return;
        }
        $book = LifeBook::of(LifeFit::query()->get()->map(static fn (LifeFit $f) => $f->life()), $this->knowledge);
        $hours = $this->hours->of($machines);
        $due = $this->service->of($machines);
        $rows = [];
        foreach ($this->seen->of($machines) as $at) {
            $row = $at->sits ? $this->position($at, $book, $hours[$at->machine->id] ?? null) : null;
            if ($row !== null) {
                $rows[$at->machine->id][] = $row;
            }
        }
        $whole = $machines->map(
            fn (Machine $m): array => $this->machine($m, $rows[$m->id] ?? [], $hours[$m->id] ?? null, $due[$m->id] ?? []),
        );
        DB::transaction(static function () use ($machines, $rows, $whole): void {
            // in order, so that two looks at once wait for each other
            Machine::query()->whereKey($machines->modelKeys())->orderBy('id')->lockForUpdate()->pluck('id');
            DB::table('position_risks')->whereIntegerInRaw('machine_id', $machines->modelKeys())->delete();
            foreach (array_chunk(array_merge([], ...array_values($rows)), 500) as $some) {
                DB::table('position_risks')->insert($some);
            }
            DB::table('machine_risks')->upsert($whole->all(), ['machine_id']);
        });
    }

    /** @return array<string, mixed>|null nothing where hours do not wear it */
    private function position(SeenAt $at, LifeBook $book, ?HoursJudged $hours): ?array
    {
        $life = $book->lifeOf($at->seen);
        if ($life === null) {
            return null;
        }
        $perWeek = $hours->perWeek ?? 0.0;
        $costs = $this->costs->of($at->machine->family, $at->seen->class, $perWeek);
        $age = $at->seen->age();
        $counted = $at->seen->life();
        $row = [
            'machine_id' => $at->machine->id,
            'position' => $at->position->code,
            'part_class' => $at->seen->class,
            'part_id' => $at->part,
            'judged_by' => $life->group->key(),
            'failures' => $life->failures,
            'shape' => $life->life->shape,
            'scale_h' => $life->life->scale,
            'age_h' => $age,
            'not_counted' => $counted instanceof NotCounted && $counted !== NotCounted::NoHours ? $counted->value : null,
            'change_at_h' => PartRisk::age($life->life, $costs)->at,
            'planned_minor' => $costs->planned,
            'failure_minor' => $costs->failure,
        ];
        foreach (PartRisk::ahead($life->life, $costs, $age, $perWeek) as $weeks => $ahead) {
            $row["risk_{$weeks}"] = $ahead['risk'];
            $row["saves_{$weeks}"] = $ahead['saves'];
        }

        return $row;
    }

    /**
     * @param  list<array<string, mixed>>  $rows  of its positions
     * @param  list<ServiceDue>  $due  the most due first
     * @return array<string, mixed>
     */
    private function machine(Machine $machine, array $rows, ?HoursJudged $hours, array $due): array
    {
        $first = $due[0] ?? null;
        $row = [
            'machine_id' => $machine->id,
            'hours' => $hours->hours ?? $machine->hoursRun(),
            'per_week' => $hours?->perWeek,
            'service' => $first?->item->code,
            'service_days' => $first === null ? null : self::daysLeft($first, $hours),
            'service_share' => $first->share ?? 0.0,
            'stale' => false,
            'at' => now(),
        ];
        foreach (PartRisk::WEEKS as $weeks) {
            $risks = array_map(self::figure(...), array_column($rows, "risk_{$weeks}", 'position'));
            $works = 1.0;
            foreach ($risks as $risk) {
                $works *= 1 - $risk;
            }
            arsort($risks);
            $row["risk_{$weeks}"] = 1 - $works;
            $row["worst_{$weeks}"] = ($risks === [] || max($risks) <= 0.0) ? null : array_key_first($risks);
            $row["worst_risk_{$weeks}"] = $risks === [] ? 0.0 : max($risks);
            $row["saves_{$weeks}"] = Visit::of(
                array_map(self::figure(...), array_filter(array_column($rows, "saves_{$weeks}", 'position'))),
                $this->costs->opening(),
                $machine->place === 'bench',
            )->saves;
        }

        return $row;
    }

    /** Days until it is due by what comes first; hours by the pace its machine runs. */
    private static function daysLeft(ServiceDue $due, ?HoursJudged $hours): ?int
    {
        $perWeek = $hours->perWeek ?? 0.0;
        $byHours = $due->hoursLeft === null || $perWeek <= 0.0 ? null : 7 * $due->hoursLeft / $perWeek;
        $days = array_filter([$byHours, $due->daysLeft], static fn (?float $d): bool => $d !== null);

        return $days === [] ? ($due->share >= 1.0 ? 0 : null) : (int) floor(min($days));
    }

    private static function figure(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }
}
