<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use OddBench\Knowledge\Knowledge;

final readonly class CounterController
{
    private const PAGE = 60;

    public function __construct(private Knowledge $knowledge, private HoursQuery $hours)
    {
    }

    /** Machines that run somewhere, for a walk along them. */
    public function index(ListCountersRequest $request): CountersView
    {
        $query = Machine::query()->whereIn('place', Place::running())->when(
            $request->words('heldAs'),
            static fn ($q, string $as) => $q->where('held_as', $as),
        );
        $all = (clone $query)->count();
        $machines = $query->when($request->words('after'), static fn ($q, string $after) => $q->where('tag', '>', $after))
            ->with('owner')
            ->orderBy('tag')
            ->limit(self::PAGE + 1)
            ->get();
        $page = $machines->take(self::PAGE);

        return new CountersView($this->lines($page), $all, $machines->count() > self::PAGE ? $page->last()?->tag : null);
    }

    public function store(string $tag, NoteHoursRequest $request, NoteHours $note): CounterLine
    {
        Gate::authorize(Ability::Edit);
        $machine = Machine::known($tag);
        $note->note($machine, $request->float('hours'), CounterSource::Typed, Here::person(), beganAnew: $request->boolean('beganAnew'));

        return $this->line($machine);
    }

    /** The printer itself tells. */
    public function fromPrinter(string $tag, AskPrinter $ask): CounterLine
    {
        Gate::authorize(Ability::Edit);
        $machine = Machine::known($tag);
        $ask->counter($machine, Here::person());

        return $this->line($machine);
    }

    public function withdraw(string $tag, int $counter, NoteHours $note): CounterLine
    {
        Gate::authorize(Ability::Edit);
        $machine = Machine::known($tag);
        $note->withdraw(Counter::query()->where('machine_id', $machine->id)->findOrFail($counter), Here::person());

        return $this->line($machine);
    }

    private function line(Machine $machine): CounterLine
    {
        return $this->lines(new Collection([$machine->refresh()->load('owner')]))[0];
    }

    /**
     * @param  Collection<int, Machine>  $machines
     * @return list<CounterLine>
     */
    private function lines(Collection $machines): array
    {
        $hours = $this->hours->of($machines);
        $last = CounterLine::last($machines);

        return array_values($machines->map(fn (Machine $m): CounterLine => CounterLine::of(
            $m,
            $this->knowledge,
            $hours[$m->id] ?? null,
            $last[$m->id] ?? null,
        ))->all());
    }
}
