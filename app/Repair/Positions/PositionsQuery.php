<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\Iso;
use App\Machines\FacesQuery;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use App\Machines\RailTurn;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Machines\Faces;
use OddBench\Machines\HoursJudged;
use OddBench\Machines\Worn;
use stdClass;

/** What sits in the positions of a machine, since when, and what sat there before. */
final readonly class PositionsQuery
{
    public function __construct(private Knowledge $knowledge, private FacesQuery $faces, private HoursQuery $hours)
    {
    }

    private const EARLIER = 5;

    private const FITTED = <<<'SQL'
        SELECT f.id, f.position, f.part_id, f.movement_id, f.fitted_hours, f.removed_hours, f.upgrade, f.reason, f.became, f.grade,
            %s AS fitted_at, %s AS removed_at, p.name AS part, w.name AS by
        FROM fittings f LEFT JOIN parts p ON p.id = f.part_id LEFT JOIN people w ON w.id = f.person_id
        WHERE f.machine_id = ? ORDER BY f.id
        SQL;

    /** @return list<FittingView> */
    public function of(Machine $machine): array
    {
        $rows = DB::select(sprintf(self::FITTED, Iso::sql('f.fitted_at'), Iso::sql('f.removed_at')), [$machine->id]);
        $fitted = [];
        foreach ($rows as $row) {
            $fitted[$row->position][] = $row;
        }
        $turns = RailTurn::query()->where('machine_id', $machine->id)->orderBy('id')->get();
        $hours = $this->hours->ofOne($machine);
        $views = [];
        foreach ($this->knowledge->families[$machine->family]->positions ?? [] as $position) {
            $all = $fitted[$position->code] ?? [];
            $now = self::first($all);
            $own = $turns->where('position', $position->code);
            $views[] = $this->position(
                $position,
                $hours,
                $machine->hoursRun(),
                $all,
                $now,
                $this->faces->from($position, $own, $now === null || $own->isEmpty() ? null : Carbon::parse($now->fitted_at)),
            );
        }

        return $views;
    }

    /**
     * @param  list<stdClass>  $all  what sat there, in order
     * @param  stdClass|null  $now  of these, what sits there
     */
    private function position(
        Position $position,
        ?HoursJudged $judged,
        ?float $lastRead,
        array $all,
        ?stdClass $now,
        Faces $faces,
    ): FittingView {
        $hours = $judged->hours ?? $lastRead;
        $from = $now?->fitted_hours === null ? null : (float) $now->fitted_hours;
        $earlier = array_reverse(array_filter($all, static fn (stdClass $f): bool => $f->removed_at !== null));
        // a position nothing was ever fitted to has run as long as the machine
        $ran = $hours === null
            ? null
            : ($now === null ? ($all === [] ? $hours : null) : ($from === null ? null : $hours - $from));
        $life = $this->knowledge->lifeHours($position);

        return new FittingView(
            position: $position->code,
            name: $position->name,
            partClass: $position->partClass,
            part: $now?->part,
            fittedAt: $now?->fitted_at,
            fittedHours: $from,
            hoursOnIt: $ran === null ? null : round($ran, 1),
            about: $judged?->read === false,
            replacements: count(array_filter($all, static fn (stdClass $f): bool => $f->movement_id !== null)),
            place: ($this->knowledge->wear[$position->partClass] ?? null)?->place,
            lifeHours: $life,
            lifeShare: Worn::share($ran, $life),
            worn: Worn::of($ran, $life)->value,
            faces: $position->faces,
            facesUsed: $faces->used(),
            upgrade: $now->upgrade ?? false,
            empty: $now === null && $all !== [],
            reason: $now?->reason,
            by: $now?->by,
            earlier: array_map(static fn (stdClass $f): EarlierFittingView => new EarlierFittingView(
                $f->part,
                $f->part_id === null ? null : $f->fitted_at,
                $f->removed_at,
                $f->removed_hours === null || $f->fitted_hours === null ? null : (float) $f->removed_hours - (float) $f->fitted_hours,
                match ($f->became) {
                    'spare' => "kept as a spare, {$f->grade}", 'seller' => 'back to the seller',
                    'lost' => 'lost', 'scrap' => 'scrapped', default => null
                },
                $f->reason,
            ), array_slice($earlier, 0, self::EARLIER)),
        );
    }

    /**
     * @param  list<stdClass>  $all
     */
    private static function first(array $all): ?stdClass
    {
        foreach ($all as $fitting) {
            if ($fitting->removed_at === null) {
                return $fitting;
            }
        }

        return null;
    }
}
