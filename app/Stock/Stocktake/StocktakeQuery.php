<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;
use OddBench\Stock\Variance;

/** What a stocktake shows: never how many there should be before a bin is done. */
final readonly class StocktakeQuery
{
    private const PAST = 5;

    public function all(): StocktakesView
    {
        $open = Stocktake::query()->with('person')->whereNull('ended_at')->first();
        $past = Stocktake::query()->with('person')->whereNotNull('ended_at')->orderByDesc('id')->limit(self::PAST)->get();
        $worth = DB::table('movements')->whereIn('stocktake_id', $past->pluck('id'))
            ->groupBy('stocktake_id')
            ->selectRaw('stocktake_id, sum(value_minor) AS value, count(*) AS n')
            ->get()
            ->keyBy('stocktake_id');

        return new StocktakesView(
            $open === null ? null : $this->current($open),
            array_values($past->map(static fn (Stocktake $t): PastStocktakeView => new PastStocktakeView(
                $t->id,
                $t->started_at->toIso8601String(),
                $t->person->name,
                $t->bins,
                $t->posted,
                (int) ($worth->get($t->id)->n ?? 0),
                (int) ($worth->get($t->id)->value ?? 0),
            ))->all()),
        );
    }

    public function sheet(Stocktake $take, string $bin): BinSheetView
    {
        $count = BinCount::query()->with('person')->where(['stocktake_id' => $take->id, 'bin' => mb_strtoupper($bin)])->first()
            ?? throw Refused::notFound('bin', "Bin “{$bin}” is not open in this stocktake.");
        $counted = $count->counts()->pluck('counted', 'part_id');
        $parts = Part::query()->where('bin', $count->bin)
            ->orWhereIn('id', DB::table('bin_stocks')->where('bin', $count->bin)->where('on_hand', '>', 0)->select('part_id'))
            ->orWhereIn('id', $counted->keys())
            ->orderBy('number')
            ->get();

        return new BinSheetView($count->bin, $count->person->name, $count->done_at !== null, array_values($parts->map(static function (Part $p) use ($counted): SheetLineView {
            $n = $counted->get($p->id);

            return new SheetLineView($p->number, $p->name, is_numeric($n) ? (int) $n : null);
        })->all()));
    }

    private function current(Stocktake $take): StocktakeView
    {
        $begun = BinCount::query()->with('person')->where('stocktake_id', $take->id)->get()->keyBy('bin');
        $bins = [];
        foreach (DB::select(<<<'SQL'
            SELECT bin, count(DISTINCT part_id) AS parts FROM (
                SELECT bin, id AS part_id FROM parts WHERE bin LIKE ? UNION SELECT bin, part_id FROM bin_stocks WHERE on_hand > 0 AND bin LIKE ?
            ) AS there GROUP BY bin ORDER BY bin
            SQL, array_fill(0, 2, addcslashes($take->bins, '%_\\').'%')) as $row) {
            $own = $begun->get((string) $row->bin);
            $bins[] = new StocktakeBinView(
                (string) $row->bin,
                (int) $row->parts,
                $own === null ? 'waiting' : ($own->done_at === null ? 'begun' : 'done'),
                $own?->person->name,
            );
        }
        $variances = [];
        foreach (PartCount::query()->with(['part', 'binCount', 'person'])->whereColumn('counted', '<>', 'expected')->whereHas(
            'binCount',
            static fn ($q) => $q->where('stocktake_id', $take->id)->whereNotNull('done_at'),
        )->get() as $count) {
            $variance = Variance::of($count->counted, $count->expected, $count->part->holding());
            $variances[] = new VarianceView(
                $count->part->number,
                $count->part->name,
                $count->binCount->bin,
                $count->counted,
                $count->expected,
                $variance->pieces,
                $variance->value,
                $count->person->name,
            );
        }
        usort(
            $variances,
            static fn (VarianceView $a, VarianceView $b): int => [abs($b->valueMinor), $a->part] <=> [abs($a->valueMinor), $b->part],
        );

        return new StocktakeView($take->id, $take->bins, $take->started_at->toIso8601String(), $take->person->name, $bins, $variances);
    }
}
