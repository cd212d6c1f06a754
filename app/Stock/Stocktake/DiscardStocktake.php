<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Shop\Person;
use Illuminate\Support\Facades\DB;

/** Nothing of it counts; what was counted stays on record. */
final readonly class DiscardStocktake
{
    public function discard(Stocktake $take, Person $by): void
    {
        DB::transaction(static function () use ($take, $by): void {
            $take = Stocktake::query()->lockForUpdate()->findOrFail($take->id);
            $take->refuseEnded();
            $take->update(['ended_at' => now(), 'ended_by' => $by->id]);
        });
    }
}
