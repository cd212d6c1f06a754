<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Machines\Fitting;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use Generator;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\Circumstance;
use OddBench\Fleet\LifeEnd;
use OddBench\Fleet\Seated;
use OddBench\Fleet\SeenPart;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend;
use OddBench\Knowledge\Position;
use stdClass;

/** Every part that runs or ran in machines, with its hours: from what was fitted and taken out, and what they came with. */
final readonly class SeenQuery
{
    private const CHUNK = 500;

    /**
     * Everything that sat in these machines. Who took it out may have said how it ended; the faults of that job say it otherwise.
     */
    private const FITTINGS = <<<'SQL'
        SELECT f.id, f.machine_id, f.position, coalesce(p.used_of_id, p.id) AS part, f.movement_id IS NULL AS came_along,
            f.fitted_hours, f.removed_hours, f.had_hours, f.removed_at, f.ended_as, f.became,
            EXISTS (SELECT 1 FROM fittings n WHERE n.replaces_id = f.id AND n.upgrade) AS bettered,
            (SELECT string_agg(d.fault, ',') FROM diagnoses d WHERE d.job_id = f.removed_job_id AND d.superseded_at IS NULL) AS faults
        FROM fittings f LEFT JOIN parts p ON p.id = f.part_id
        WHERE f.machine_id = ANY (?::bigint[]) ORDER BY f.machine_id, f.id
        SQL;

    private const FIRST_COUNTERS = <<<'SQL'
        SELECT DISTINCT ON (machine_id) machine_id, hours FROM counters
        WHERE withdrawn_at IS NULL AND machine_id = ANY (?::bigint[]) ORDER BY machine_id, at, id
        SQL;

    public function __construct(private Knowledge $knowledge, private HoursQuery $hours)
    {
    }

    /**
     * @param  string|null  $class  of part; all when nothing is said
     * @return Generator<int, SeenAt> of every machine that was ever here
     */
    public function all(?string $class = null): Generator
    {
        $families = $class === null ? null : array_keys(array_filter($this->knowledge->families, static fn (Family $f): bool => in_array(
            $class,
            array_map(static fn (Position $p): string => $p->partClass, $f->positions),
            true,
        )));
        $after = 0;
        do {
            $machines = Machine::query()->where('id', '>', $after)
                ->when($families !== null, static fn ($q) => $q->whereIn('family', $families))
                ->orderBy('id')
                ->limit(self::CHUNK)
                ->get();
            yield from $this->of($machines, $class);
            $after = $machines->last()->id ?? $after;
            $this->hours->forget();
        } while ($machines->count() === self::CHUNK);
    }

    /**
     * @param  Collection<int, Machine>  $machines
     * @return Generator<int, SeenAt>
     */
    public function of(Collection $machines, ?string $class = null): Generator
    {
        $ids = '{'.$machines->pluck('id')->implode(',').'}';
        $rows = [];
        foreach (DB::select(self::FITTINGS, [$ids]) as $row) {
            $rows[(int) $row->machine_id][(string) $row->position][] = $row;
        }
        $first = [];
        foreach (DB::select(self::FIRST_COUNTERS, [$ids]) as $row) {
            $first[(int) $row->machine_id] = (float) $row->hours;
        }
        $hours = $this->hours->of($machines);
        foreach ($machines as $machine) {
            $family = $this->knowledge->families[$machine->family] ?? null;
            $among = Circumstance::of($family, $machine->prints_abrasive, $machine->prints_hot);
            $now = $hours[$machine->id]->hours ?? $machine->hoursRun();
            $cameNew = isset($first[$machine->id]) && $first[$machine->id] <= Fitting::NEW_UP_TO_HOURS;
            foreach ($family->positions ?? [] as $position) {
                if ($class !== null && $position->partClass !== $class) {
                    continue;
                }
                $see = fn (Seated $seated, ?stdClass $row): SeenAt => new SeenAt(
                    $machine,
                    $position,
                    new SeenPart(
                        $position->partClass,
                        $machine->family,
                        $position->code,
                        $among,
                        $seated,
                        is_string($row?->removed_at) ? substr($row->removed_at, 0, 10) : null,
                        SeenPart::isWatched(
                            $machine->held_as === 'owner',
                            $this->knowledge->wear[$position->partClass]->consumable ?? false,
                            $row?->removed_at !== null,
                            $row === null || $row->came_along,
                        ),
                    ),
                    $row?->part === null ? null : (int) $row->part,
                    $row?->removed_at === null,
                    $row === null ? null : (int) $row->id,
                );
                if (! isset($rows[$machine->id][$position->code])) {
                    yield $see(Seated::original($now, null, $cameNew), null);
                }
                foreach ($rows[$machine->id][$position->code] ?? [] as $row) {
                    yield $see($this->seated($row, $position->partClass, $now, $cameNew), $row);
                }
            }
        }
    }

    private function seated(stdClass $row, string $class, ?float $now, bool $cameNew): Seated
    {
        $end = $row->removed_at === null ? null : LifeEnd::of(
            $row->ended_as === null ? null : LifeEnd::from($row->ended_as),
            $this->takesPart($row->faults, $class),
            $row->became === 'spare',
            (bool) $row->bettered,
        );
        $until = $end === null ? $now : self::number($row->removed_hours);

        return $row->came_along
            ? Seated::original($until, $end, $cameNew)
            : new Seated(
                $row->part === null ? null : (string) $row->part,
                self::number($row->fitted_hours),
                $until,
                $end,
                self::number($row->had_hours),
            );
    }

    /** Whether one of the faults takes such a part to put it right. */
    private function takesPart(?string $faults, string $class): bool
    {
        foreach (explode(',', (string) $faults) as $code) {
            $mends = $this->knowledge->faults[$code]->mends ?? [];
            if (array_filter($mends, static fn (Mend $m): bool => in_array($class, $m->parts, true)) !== []) {
                return true;
            }
        }

        return false;
    }

    private static function number(mixed $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }
}
