<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\Csv;
use App\Machines\Machine;
use App\Shop\Ability;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

final readonly class FarmController
{
    private const WEEKS = 2;

    public function __construct(private FarmQuery $farm, private KeepRacks $racks)
    {
    }

    public function show(FarmRequest $request): FarmView
    {
        return $this->read($request);
    }

    public function csv(FarmRequest $request): Response
    {
        $farm = $this->read($request);
        $names = array_column($farm->racks, 'name', 'id');

        return Csv::file('farm', [
            [
                'tag', 'family', 'place', 'rack', 'shelf', 'spot', 'hours',
                'likeliest to fail', "risk in {$farm->weeks} weeks", 'service', 'days', 'job', 'station', 'red tag',
            ],
            ...array_map(static fn (FarmMachineView $m): array => [
                $m->tag, $m->family, $m->place, $names[$m->rack ?? 0] ?? '', $m->shelf, $m->spot, $m->hours,
                $m->worst, $m->risk, $m->service,
                $m->serviceDays, $m->openJob, $m->station, $m->redTag,
            ], $farm->machines),
        ], true);
    }

    public function drawRack(RackRequest $request): RackView
    {
        Gate::authorize(Ability::Edit);

        return RackView::of($this->racks->draw(
            $request->string('name')->trim()->toString(),
            $request->integer('shelves'),
            $request->integer('places'),
        ));
    }

    public function redrawRack(int $rack, RackRequest $request): RackView
    {
        Gate::authorize(Ability::Edit);

        return RackView::of($this->racks->redraw(
            Rack::query()->findOrFail($rack),
            $request->string('name')->trim()->toString(),
            $request->integer('shelves'),
            $request->integer('places'),
            $request->integer('version'),
        ));
    }

    public function takeDownRack(int $rack): FarmView
    {
        Gate::authorize(Ability::Edit);
        $this->racks->takeDown(Rack::query()->findOrFail($rack));

        return $this->farm->read(self::WEEKS, 'farm', null, null);
    }

    public function stand(StandRequest $request): FarmView
    {
        Gate::authorize(Ability::Edit);
        $machine = Machine::known($request->string('tag')->toString());
        $rack = $request->wholeOrNull('rack');
        $rack === null ? $this->racks->takeOut($machine) : $this->racks->put(
            $machine,
            Rack::query()->findOrFail($rack),
            $request->integer('shelf'),
            $request->integer('place'),
            $request->boolean('swap'),
        );

        return $this->farm->read(self::WEEKS, $machine->held_as, null, null);
    }

    private function read(FarmRequest $request): FarmView
    {
        /** @var 1|2|4|8 $weeks */
        $weeks = $request->wholeOrNull('weeks') ?? self::WEEKS;

        return $this->farm->read($weeks, $request->words('heldAs') ?? 'farm', $request->words('family'), $request->wholeOrNull('rack'));
    }
}
