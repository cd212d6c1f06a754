<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Shop\Person;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;

/** Somebody stands before a bin; opened again when it was done already. */
final readonly class OpenBin
{
    public function open(Stocktake $take, string $bin, Person $by): BinCount
    {
        $take->refuseEnded();
        $bin = mb_strtoupper($bin);
        if (! Part::query()->where('bin', $bin)->exists() && ! DB::table('bin_stocks')->where('bin', $bin)->exists()) {
            throw Refused::notFound('bin', "There is no bin “{$bin}”. Scan its label again, or type it as it stands there.");
        }
        $count = BinCount::query()->firstOrCreate(
            ['stocktake_id' => $take->id, 'bin' => $bin],
            ['opened_at' => now(), 'person_id' => $by->id],
        );
        if ($count->done_at !== null) {
            $count->update(['done_at' => null, 'opened_at' => now(), 'person_id' => $by->id]);
        }

        return $count;
    }
}
