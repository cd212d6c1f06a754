<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Shop\Person;
use App\Shop\Setting;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Bins;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** A stocktake: bins are opened, counted without seeing what should be there, and posted in one go. */
final readonly class KeepStocktake
{
    public function __construct(private MoveStock $stock, private Bins $bins)
    {
    }

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

    /** Somebody stands before a bin; opened again when it was done already. */
    public function open(Stocktake $take, string $bin, Person $by): BinCount
    {
        $this->refuseEnded($take);
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

    /**
     * @param  bool  $afterMoves  what moved meanwhile has been seen, and the count is of what is there now
     *
     * @throws Refused when something moved since the bin was opened and nobody has said so
     */
    public function count(BinCount $bin, Part $part, int $counted, bool $afterMoves, Person $by): PartCount
    {
        return DB::transaction(function () use ($bin, $part, $counted, $afterMoves, $by): PartCount {
            $this->refuseEnded($bin->stocktake);
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            $moved = Movement::query()->with('person')
                ->where(['part_id' => $part->id, 'bin' => $bin->bin])
                ->where('at', '>', $bin->opened_at)
                ->latest('id')
                ->first();
            if ($moved !== null && ! $afterMoves) {
                throw Refused::because(
                    'moved',
                    sprintf(
                        '%s %s %d of %s at %s, while this bin was being counted. Look again: is %d what is there now?',
                        $moved->person->name,
                        $moved->quantity < 0 ? 'took' : 'put in',
                        abs($moved->quantity),
                        $part->name,
                        $moved->at->copy()->setTimezone(Setting::text('zone'))->format('H:i'),
                        $counted,
                    ),
                );
            }

            return PartCount::query()->updateOrCreate(
                ['bin_count_id' => $bin->id, 'part_id' => $part->id],
                ['counted' => $counted, 'expected' => $this->bins->in($part, $bin->bin), 'person_id' => $by->id, 'at' => now()],
            );
        });
    }

    /** @throws Refused while something that should be in it has not been counted */
    public function done(BinCount $bin): void
    {
        $this->refuseEnded($bin->stocktake);
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

    /** Every difference becomes a movement, all of them or none; what moved since it was counted stays moved. */
    public function post(Stocktake $take, Person $by): void
    {
        DB::transaction(function () use ($take, $by): void {
            $take = Stocktake::query()->lockForUpdate()->findOrFail($take->id);
            $this->refuseEnded($take);
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

    /** Nothing of it counts; what was counted stays on record. */
    public function discard(Stocktake $take, Person $by): void
    {
        $this->refuseEnded($take);
        $take->update(['ended_at' => now(), 'ended_by' => $by->id]);
    }

    private function refuseEnded(Stocktake $take): void
    {
        if ($take->ended_at !== null) {
            throw Refused::because('stocktake', 'This stocktake is ended. Start another one.');
        }
    }
}
