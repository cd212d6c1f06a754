<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Intake\PhotographView;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Repair\Difference;
use OddBench\Repair\FastenerList;
use OddBench\Repair\FastenersOut;
use OddBench\Repair\StepBack;
use OddBench\Repair\Substitute;
use OddBench\Repair\TeardownRecord;

/** Puts the tray into words. */
final class TrayWords
{
    /**
     * @param  Collection<int, TakenOff>  $taken
     * @return list<TrayStepView>
     */
    public function steps(Collection $taken, TeardownRecord $record): array
    {
        $open = $record->open();

        return array_values($taken->map(function (TakenOff $t) use ($record, $open): TrayStepView {
            $id = (string) $t->number;
            $step = $record->sequence->step($id, 'step');
            $back = $record->back[$id] ?? null;
            $waits = $back === null ? $record->sequence->waitsFor($id, array_map(strval(...), array_keys($record->back))) : [];

            return new TrayStepView(
                $t->number,
                $t->off,
                array_map(static fn (FastenersOut $out): FastenerView => self::fasteners($out, $back), $step->fasteners),
                $t->sockets,
                $t->parts,
                array_map(static fn (string $other): string => $record->sequence->step($other, 'step')->off, $waits),
                in_array($id, $open, true),
                $back === null ? 'off' : ($back->finished ? 'back' : 'first'),
                $t->cell, $t->way_round, $t->caution, $t->undo_first, $t->first_pass, $t->second_pass, $t->check,
                $t->photograph === null ? null : PhotographView::of($t->photograph)->url,
                $back === null || $back->fasteners == StepBack::asItCameOut($step)->fasteners
                    ? null
                    : (FastenerList::words($back->fasteners) ?: 'nothing'),
                $t->person->name, $t->at->toIso8601String(),
            );
        })->all());
    }

    /**
     * @param  Collection<int, Explained>  $explained
     * @return list<DifferenceView>
     */
    public function differences(TeardownRecord $record, Collection $explained): array
    {
        $said = $explained->flatMap(static fn (Explained $e): array => $e->differences)->all();

        return array_map(
            static fn (Difference $d): DifferenceView => new DifferenceView(
                $d->kind,
                $d->what,
                $d->out,
                $d->in,
                $d->because,
                in_array(TrayQuery::words($d), $said, true),
                array_map(intval(...), $d->steps),
            ),
            $record->accounts->differences(),
        );
    }

    /** @return list<SubstituteView> */
    public function substitutes(TeardownRecord $record): array
    {
        return array_map(
            static fn (Substitute $s): SubstituteView => new SubstituteView(
                (int) $s->step,
                $s->insteadOf,
                $s->fitted,
                $s->safe,
                $s->because,
            ),
            $record->accounts->substitutes(),
        );
    }

    private static function fasteners(FastenersOut $out, ?StepBack $back): FastenerView
    {
        return new FastenerView(
            $out->size->name,
            $out->count,
            max(0, $out->count - ($back->fasteners[$out->size->name] ?? 0)),
            $out->missing,
            $out->size->screw?->diameterMm,
            $out->size->screw?->lengthMm,
            $out->size->head,
        );
    }
}
