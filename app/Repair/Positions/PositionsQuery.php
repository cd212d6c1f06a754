<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Machines\FacesQuery;
use App\Machines\Fitting;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use App\Machines\RailTurn;
use App\Stock\Parts\Part;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Machines\Faces;
use OddBench\Machines\HoursJudged;
use OddBench\Machines\Worn;

/** What sits in the positions of a machine, since when, and what sat there before. */
final readonly class PositionsQuery
{
    public function __construct(private Knowledge $knowledge, private FacesQuery $faces, private HoursQuery $hours)
    {
    }

    /** @return list<FittingView> */
    public function of(Machine $machine): array
    {
        $fitted = Fitting::query()->with('person')->where('machine_id', $machine->id)->orderBy('id')->get()->groupBy('position');
        $parts = Part::query()->whereIn('id', $fitted->flatten()->pluck('part_id')->filter()->unique())->pluck('name', 'id')->all();
        $turns = RailTurn::query()->where('machine_id', $machine->id)->orderBy('id')->get();
        $hours = $this->hours->ofOne($machine);
        $views = [];
        foreach ($this->knowledge->families[$machine->family]->positions ?? [] as $position) {
            $all = $fitted->get($position->code) ?? new Collection;
            $views[] = $this->position(
                $position,
                $hours,
                $machine->hoursRun(),
                $all,
                $parts,
                $this->faces->from($position, $turns->where('position', $position->code), $all->firstWhere('removed_at', null)),
            );
        }

        return $views;
    }

    /**
     * @param  Collection<int, Fitting>  $all  what sat there, in order
     * @param  array<int, string>  $parts  id => name
     */
    private function position(
        Position $position,
        ?HoursJudged $judged,
        ?float $lastRead,
        Collection $all,
        array $parts,
        Faces $faces,
    ): FittingView {
        $hours = $judged->hours ?? $lastRead;
        $now = $all->firstWhere('removed_at', null);
        $from = $now?->fitted_hours === null ? null : (float) $now->fitted_hours;
        $earlier = $all->whereNotNull('removed_at')->sortByDesc('id');
        // a position nothing was ever fitted to has run as long as the machine
        $ran = $hours === null
            ? null
            : ($now === null ? ($all->isEmpty() ? $hours : null) : ($from === null ? null : $hours - $from));
        $life = $this->knowledge->lifeHours($position);

        return new FittingView(
            position: $position->code,
            name: $position->name,
            partClass: $position->partClass,
            part: $parts[$now->part_id ?? 0] ?? null,
            fittedAt: $now?->fitted_at->toIso8601String(),
            fittedHours: $from,
            hoursOnIt: $ran === null ? null : round($ran, 1),
            about: $judged?->read === false,
            replacements: $all->whereNotNull('movement_id')->count(),
            place: ($this->knowledge->wear[$position->partClass] ?? null)?->place,
            lifeHours: $life,
            lifeShare: Worn::share($ran, $life),
            worn: Worn::of($ran, $life)->value,
            faces: $position->faces,
            facesUsed: $faces->used(),
            upgrade: $now->upgrade ?? false,
            empty: $now === null && $all->isNotEmpty(),
            reason: $now?->reason,
            by: $now?->person?->name,
            earlier: array_values($earlier->take(5)->map(static fn (Fitting $f): EarlierFittingView => new EarlierFittingView(
                $parts[$f->part_id ?? 0] ?? null,
                $f->part_id === null ? null : $f->fitted_at->toIso8601String(),
                $f->removed_at?->toIso8601String(),
                $f->removed_hours === null || $f->fitted_hours === null ? null : (float) $f->removed_hours - (float) $f->fitted_hours,
                match ($f->became) {
                    'spare' => "kept as a spare, {$f->grade}", 'seller' => 'back to the seller',
                    'lost' => 'lost', 'scrap' => 'scrapped', default => null
                },
                $f->reason,
            ))->all()),
        );
    }
}
