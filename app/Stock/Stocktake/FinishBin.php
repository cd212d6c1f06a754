<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;

/** A bin is counted. */
final readonly class FinishBin
{
    /** @throws Refused while something that should be in it has not been counted */
    public function finish(BinCount $bin): void
    {
        $bin->stocktake->refuseEnded();
        $missing = Part::query()->whereIn(
            'id',
            DB::table('bin_stocks')->where('bin', $bin->bin)->where('on_hand', '>', 0)->select('part_id'),
        )
            ->whereNotIn('id', $bin->counts()->select('part_id'))->orderBy('number')->pluck('name')->all();
        if ($missing !== []) {
            throw Refused::because(
                'counts',
                'Not counted yet: '.implode(', ', array_filter($missing, is_string(...))).'. If none is there, type 0.',
            );
        }
        $bin->update(['done_at' => now()]);
    }
}
