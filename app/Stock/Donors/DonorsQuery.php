<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Machines\Fitting;
use App\Machines\Machine;
use App\Safety\RedTag;
use App\Stock\Parts\OtherPartView;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use App\Stock\Shelf\Movement;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** Machines that are written off, and what can be taken out of them. */
final readonly class DonorsQuery
{
    private const MOST = 60;

    public function __construct(private Knowledge $knowledge, private KnowsPieceCosts $pieces)
    {
    }

    public function all(): DonorsView
    {
        $machines = Machine::query()->with('fittings')
            ->where('place', Destination::Donor->value)
            ->orderByDesc('updated_at')
            ->limit(self::MOST)
            ->get();
        $taken = Movement::query()->with('part')
            ->where('kind', 'salvaged')
            ->where('quantity', '>', 0)
            ->whereIn('machine_id', $machines->pluck('id'))
            ->orderBy('id')
            ->get()
            ->groupBy('machine_id');
        $tags = RedTag::worn($machines->pluck('id'));
        $costs = $this->pieces->costs(array_values($machines->map(static fn (Machine $m): int => $m->id)->all()));
        $sitting = Part::query()->findMany(
            $machines->flatMap(static fn (Machine $m) => $m->fittings->pluck('part_id'))->filter()->unique()->values()->all(),
        )
            ->keyBy('id');
        $parts = Part::query()->where('grade', 'new')->whereIn('class', $this->classes($machines))->orderBy('number')->get();

        return new DonorsView(array_values($machines->map(fn (Machine $m): DonorView => $this->donor(
            $m,
            $taken->get($m->id),
            $parts,
            $sitting,
            isset($tags[$m->id]),
            $costs[$m->id] ?? [],
        ))->all()));
    }

    /**
     * @param  \Illuminate\Support\Collection<int, Movement>|null  $taken
     * @param  Collection<int, Part>  $parts
     * @param  Collection<int, Part>  $sitting  by id
     * @param  array<string, int>  $costs  by position, of what the machine cost
     */
    private function donor(
        Machine $machine,
        ?\Illuminate\Support\Collection $taken,
        Collection $parts,
        Collection $sitting,
        bool $redTag,
        array $costs,
    ): DonorView {
        $family = $this->knowledge->family($machine->family);
        $run = $machine->hoursRun();
        $positions = [];
        foreach ($family->positions as $position) {
            $own = $machine->fittings->where('position', $position->code);
            /** @var Fitting|null $now */
            $now = $own->firstWhere('removed_at', null);
            $movement = $taken?->where('position', $position->code)->last();
            $fitting = PartChoice::fitting($parts->where('class', $position->partClass), $family, $position->code);
            $positions[] = new DonorPositionView(
                $position->code,
                $position->name,
                $this->knowledge->partClasses[$position->partClass] ?? $position->partClass,
                $now !== null || $own->isEmpty(),
                $sitting->get($now->part_id ?? 0)?->number, $sitting->get($now->part_id ?? 0)?->name,
                $run === null ? null : ($own->isEmpty() ? $run : ($now?->fitted_hours === null ? null : max(
                    0.0,
                    $run - (float) $now->fitted_hours,
                ))),
                $movement?->part->number,
                array_values($fitting->take(12)->map(static fn (Part $p): OtherPartView => new OtherPartView(
                    $p->number,
                    $p->name,
                    '',
                    0,
                    'new',
                    null,
                ))->all()),
                $costs[$position->code] ?? null,
            );
        }

        return new DonorView($machine->tag, $family->name, $run, $redTag, $positions);
    }

    /**
     * @param  Collection<int, Machine>  $machines
     * @return list<string>
     */
    private function classes(Collection $machines): array
    {
        $classes = [];
        foreach ($machines->pluck('family')->unique() as $family) {
            foreach ($this->knowledge->family((string) $family)->positions as $position) {
                $classes[] = $position->partClass;
            }
        }

        return array_values(array_unique($classes));
    }
}
