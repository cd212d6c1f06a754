<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use Illuminate\Database\Eloquent\Collection;
use OddBench\Diagnosis\Trial;
use OddBench\Diagnosis\TrialJudgement;

/** A job’s trial prints in the order they were made, and what they say together. */
final readonly class TrialsQuery
{
    /** @return Collection<int, TrialPrint> */
    public function prints(int $job): Collection
    {
        return TrialPrint::query()->with(['person', 'photograph'])
            ->where('job_id', $job)
            ->whereNull('withdrawn_at')
            ->orderBy('number')
            ->get();
    }

    /** @param  Collection<int, TrialPrint>  $prints */
    public function judge(Collection $prints): TrialJudgement
    {
        return TrialJudgement::of(array_values($prints->map(static fn (TrialPrint $p): Trial => new Trial(
            $p->number,
            array_map(static fn (mixed $value): float|string => is_string($value) ? $value : (float) $value, $p->settings),
            (float) $p->rating,
            $p->band(),
            $p->stopped,
        ))->all()));
    }
}
