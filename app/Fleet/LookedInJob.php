<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Diagnosis\Findings\HearsChecks;
use App\Intake\Job;
use App\Shop\Person;
use OddBench\Knowledge\Knowledge;

/** A check done in a job settles the look its machine owes. */
final readonly class LookedInJob implements HearsChecks
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function checked(Job $job, array $checks, array $present, Person $by): void
    {
        $open = LookOwed::query()->with('list')->where('machine_id', $job->machine_id)->whereNull('looked_at')
            ->whereHas('list', static fn ($lists) => $lists->whereIn('look', $checks)->whereNull('closed_at'))->get();
        foreach ($open as $owed) {
            $fault = $this->knowledge->faults[$owed->list->fault] ?? null;
            $signs = array_intersect($this->knowledge->checks[$owed->list->look]->yields ?? [], array_keys($fault->shows ?? []));
            $owed->update([
                'affected' => array_intersect($signs, $present) !== [],
                'job_id' => $job->id,
                'looked_by' => $by->id,
                'looked_at' => now(),
            ]);
        }
    }
}
