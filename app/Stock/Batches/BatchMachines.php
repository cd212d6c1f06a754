<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;
use OddBench\Stock\BatchTrace;

/** Which machines may have a part of a batch in them: receipts are known, and which piece went where follows from their order. */
final class BatchMachines
{
    /**
     * @param  string  $batch  as it is printed on the bag
     * @return list<int> ids of machines in which a part sits that may be of it
     */
    public static function of(Part $part, string $batch): array
    {
        $flow = self::flow($part);
        $ids = array_column($flow, 0);
        $movements = [];
        $receipts = DB::table('movements')->where('part_id', $part->id)->where('batch', $batch)->whereIntegerInRaw('id', $ids)->pluck('id');
        foreach ($receipts as $receipt) {
            $movements = [...$movements, ...array_keys(BatchTrace::of($flow, is_numeric($receipt) ? (int) $receipt : 0)->taken)];
        }

        return array_values(array_map(intval(...), array_filter(
            DB::table('fittings')->whereIntegerInRaw('movement_id', $movements)->whereNull('removed_at')
                ->distinct()->pluck('machine_id')->all(),
            is_numeric(...),
        )));
    }

    /**
     * What came into the bin and went out of it, in order; what came back was never away, for this.
     *
     * @return list<array{int, int}> movement, pieces
     */
    public static function flow(Part $part): array
    {
        $undone = DB::table('movements')->where('part_id', $part->id)->whereNotNull('undoes_id')->pluck('undoes_id')->all();
        $all = [];
        foreach (DB::table('movements')->where('part_id', $part->id)->where('kind', '<>', 'moved')->orderBy('id')->get([
            'id',
            'quantity',
            'undoes_id',
        ]) as $row) {
            if ($row->undoes_id === null && ! in_array($row->id, $undone, true)) {
                $all[] = [(int) $row->id, (int) $row->quantity];
            }
        }

        return $all;
    }
}
