<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

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
        // what is looked for in words only a person can say
        $open = LookOwed::query()->with('campaign')->where('machine_id', $job->machine_id)->whereNull('looked_at')
            ->whereHas('campaign', static fn ($c) => $c->whereIn('look', $checks)->whereNotNull('fault')->whereNull('closed_at'))->get();
        foreach ($open as $owed) {
            $fault = $this->knowledge->faults[(string) $owed->campaign->fault] ?? null;
            $yields = $this->knowledge->checks[(string) $owed->campaign->look]->yields ?? [];
            $signs = array_intersect($yields, array_keys($fault->shows ?? []));
            $owed->update([
                'affected' => array_intersect($signs, $present) !== [],
                'job_id' => $job->id,
                'looked_by' => $by->id,
                'looked_at' => now(),
            ]);
        }
    }
}
