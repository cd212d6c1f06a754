<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Repair\WorkOnJob;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Repair\Difference;
use OddBench\Repair\TeardownRecord;

/** Reads a job’s tray: what came off, what is back, and what is not accounted for. */
final class TrayQuery
{
    public function record(WorkOnJob $work): TeardownRecord
    {
        return $this->recordOf($work->takenOff);
    }

    /** @param  Collection<int, TakenOff>  $taken */
    public function recordOf(Collection $taken): TeardownRecord
    {
        $known = array_values($taken->map(static fn (TakenOff $t): int => $t->number)->all());
        $steps = array_values($taken->map(static fn (TakenOff $t) => $t->step($known))->all());
        $backs = $taken->filter(static fn (TakenOff $t): bool => $t->back !== null)
            ->sortBy(static fn (TakenOff $t): int => $t->back->id ?? 0)
            ->map(static fn (TakenOff $t) => $t->back?->stepBack($t->number))->filter()->values()->all();

        return TeardownRecord::of($steps, array_values($backs));
    }

    /**
     * What keeps the job at Fix: what is not accounted for and not explained.
     *
     * @return list<string>
     */
    public function open(WorkOnJob $work): array
    {
        if ($work->takenOff->isEmpty()) {
            return [];
        }
        $explained = $work->explained->flatMap(static fn (Explained $e): array => $e->differences)->all();

        return array_values(array_diff(array_map(self::words(...), $this->record($work)->accounts->differences()), $explained));
    }

    /** A difference in one line; the same difference reads the same. */
    public static function words(Difference $difference): string
    {
        return $difference->kind === 'fastener' ? "{$difference->what}: {$difference->out} out, {$difference->in} in" : $difference->what;
    }
}
