<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Bins;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** A stocktake is begun; one at a time. */
final readonly class StartStocktake
{
    /** @param  string  $bins  only bins that begin so; empty for all */
    public function start(string $bins, Person $by): Stocktake
    {
        return DB::transaction(function () use ($bins, $by): Stocktake {
            DB::select('SELECT pg_advisory_xact_lock(?)', [crc32('stocktake')]);
            $open = Stocktake::query()->whereNull('ended_at')->first();
            if ($open !== null) {
                throw Refused::because('stocktake', "{$open->person->name} has a stocktake under way. Count along in it, or end it first.");
            }
            $bins = mb_strtoupper($bins);
            if (! Part::query()->where('bin', 'like', addcslashes($bins, '%_\\').'%')->exists()) {
                throw InputError::at('bins', "No bin begins with “{$bins}”.");
            }

            return Stocktake::query()->create(['bins' => $bins, 'person_id' => $by->id, 'started_at' => now()]);
        });
    }
}
