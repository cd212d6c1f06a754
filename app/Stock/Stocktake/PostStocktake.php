<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;

/** Every difference becomes a movement, all of them or none; what moved since it was counted stays moved. */
final readonly class PostStocktake
{
    public function __construct(private MoveStock $stock)
    {
    }

    public function post(Stocktake $take, Person $by): void
    {
        DB::transaction(function () use ($take, $by): void {
            $take = Stocktake::query()->lockForUpdate()->findOrFail($take->id);
            $take->refuseEnded();
            $begun = BinCount::query()->where('stocktake_id', $take->id)->whereNull('done_at')->pluck('bin')->all();
            if ($begun !== []) {
                throw Refused::because(
                    'bins',
                    'Begun and not finished: '.implode(', ', array_filter($begun, is_string(...))).'. Finish counting there first.',
                );
            }
            foreach (PartCount::query()->with(['part', 'binCount'])->whereHas(
                'binCount',
                static fn ($q) => $q->where('stocktake_id', $take->id),
            )->orderBy('part_id')->get() as $count) {
                $this->stock->correct($count->part, $count->counted - $count->expected, $count->binCount->bin, $take, $by);
            }
            $take->update(['ended_at' => now(), 'ended_by' => $by->id, 'posted' => true]);
        });
    }
}
