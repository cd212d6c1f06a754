<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Shop\Ability;
use App\Shop\Here;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\Gate;

final readonly class StocktakeController
{
    public function __construct(private StocktakeQuery $query)
    {
    }

    public function index(): StocktakesView
    {
        return $this->query->all();
    }

    public function start(StartStocktakeRequest $request, StartStocktake $startStocktake): StocktakesView
    {
        Gate::authorize(Ability::MoveStock);
        $startStocktake->start($request->words('bins') ?? '', Here::person());

        return $this->query->all();
    }

    public function sheet(int $stocktake, string $bin): BinSheetView
    {
        return $this->query->sheet(Stocktake::query()->findOrFail($stocktake), $bin);
    }

    public function open(int $stocktake, string $bin, OpenBin $openBin): BinSheetView
    {
        Gate::authorize(Ability::MoveStock);
        $take = Stocktake::query()->findOrFail($stocktake);
        $openBin->open($take, $bin, Here::person());

        return $this->query->sheet($take, $bin);
    }

    public function count(int $stocktake, string $bin, CountRequest $request, CountPart $countPart): BinSheetView
    {
        Gate::authorize(Ability::MoveStock);
        $take = Stocktake::query()->findOrFail($stocktake);
        $countPart->count(
            $this->opened($take, $bin),
            Part::numbered($request->string('part')->trim()->toString()),
            $request->integer('counted'),
            $request->boolean('afterMoves'),
            Here::person(),
        );

        return $this->query->sheet($take, $bin);
    }

    public function done(int $stocktake, string $bin, FinishBin $finishBin): StocktakesView
    {
        Gate::authorize(Ability::MoveStock);
        $finishBin->finish($this->opened(Stocktake::query()->findOrFail($stocktake), $bin));

        return $this->query->all();
    }

    public function end(
        int $stocktake,
        EndStocktakeRequest $request,
        PostStocktake $postStocktake,
        DiscardStocktake $discardStocktake,
    ): StocktakesView {
        Gate::authorize(Ability::KeepBooks);
        $take = Stocktake::query()->with('person')->findOrFail($stocktake);
        $request->boolean('post') ? $postStocktake->post($take, Here::person()) : $discardStocktake->discard($take, Here::person());

        return $this->query->all();
    }

    private function opened(Stocktake $take, string $bin): BinCount
    {
        return BinCount::query()->with('stocktake')->where(['stocktake_id' => $take->id, 'bin' => mb_strtoupper($bin)])->firstOrFail();
    }
}
