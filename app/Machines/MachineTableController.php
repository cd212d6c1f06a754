<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Csv;
use App\Api\TakesFile;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\ShopDay;
use Generator;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;
use Symfony\Component\HttpFoundation\Response;

/** Machines as a table: in, each row’s fate first, and out. */
final readonly class MachineTableController
{
    private const CHUNK = 500;

    public function __construct(private Knowledge $knowledge, private ShopDay $day)
    {
    }

    /** The body is the table itself; with apply=1 its new machines are made known. */
    #[TakesFile(query: ['apply' => 'text'])]
    public function store(Request $request, ImportMachines $import): MachineTableView
    {
        Gate::authorize($request->query('apply') === '1' ? Ability::KeepBooks : Ability::BookIn);

        return $import->run($request->getContent(), $request->query('apply') === '1', Here::person());
    }

    public function export(): Response
    {
        return Csv::stream('machines-'.$this->day->today(), $this->rows(...));
    }

    /** @return Generator<int, list<float|int|string|null>> */
    private function rows(): Generator
    {
        yield ['tag', 'family', 'family_name', 'serial', 'held_as', 'owner', 'contact', 'hours', 'hours_read_at', 'place', 'known_since'];
        // whoever only looks is told neither who owners are nor how they are reached
        $owners = Gate::allows(Ability::SeeOwners);
        foreach (Machine::query()->with('owner')->lazyById(self::CHUNK)->chunk(self::CHUNK) as $some) {
            $last = CounterLine::last(new Collection($some->all()));
            foreach ($some as $machine) {
                $counter = $last[$machine->id] ?? null;
                yield [
                    $machine->tag,
                    $machine->family,
                    $this->knowledge->families[$machine->family]->name ?? '',
                    $machine->serial,
                    $machine->held_as,
                    $owners ? $machine->owner?->name : null,
                    $owners ? $machine->owner?->contact : null,
                    $counter === null ? null : (float) $counter->hours,
                    $counter?->at->toIso8601String(),
                    $machine->place,
                    $machine->created_at->toDateString(),
                ];
            }
        }
    }
}
