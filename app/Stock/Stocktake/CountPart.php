<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Refused;
use App\Shop\Person;
use App\Shop\Setting;
use App\Stock\Parts\Part;
use App\Stock\Shelf\Bins;
use App\Stock\Shelf\Movement;
use Illuminate\Support\Facades\DB;

/** What somebody counted in a bin, without seeing what should be there. */
final readonly class CountPart
{
    public function __construct(private Bins $bins)
    {
    }

    /**
     * @param  bool  $afterMoves  what moved meanwhile has been seen, and the count is of what is there now
     *
     * @throws Refused when something moved since the bin was opened and nobody has said so
     */
    public function count(BinCount $bin, Part $part, int $counted, bool $afterMoves, Person $by): PartCount
    {
        return DB::transaction(function () use ($bin, $part, $counted, $afterMoves, $by): PartCount {
            $bin->stocktake->refuseEnded();
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
}
