<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Diagnosis\Faults\CountedFaults;
use App\Diagnosis\Faults\FaultCounts;
use App\Intake\JobPart;
use App\Intake\JobState;
use App\Stock\Parts\ClassCosts;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a case rests on besides what was found: the shop's counts, what parts cost, checks that were hidden. */
final readonly class CaseRest implements JobPart
{
    /**
     * @param  array{costs: array<string, float>, on_shelf: list<string>, waiting: array<string, float>}  $costs
     * @param  list<string>  $hidden
     */
    private function __construct(public CountedFaults $counted, public array $costs, public array $hidden)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Collection $jobs): array
    {
        $counted = app(FaultCounts::class)->now();
        $costs = app(ClassCosts::class)->all();
        $hidden = DB::table('hidden_checks')->whereIn('job_id', $jobs->pluck('id'))->get(['job_id', 'code'])->groupBy('job_id');
        $rests = [];
        foreach ($jobs as $job) {
            $rests[$job->id] = new self(
                $counted,
                $costs,
                array_values($hidden->get($job->id)?->pluck('code')->map(strval(...))->all() ?? []),
            );
        }

        return $rests;
    }
}
