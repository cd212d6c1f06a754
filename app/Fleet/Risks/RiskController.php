<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Machines\Machine;
use App\Repair\Service\PlanChanges;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

final readonly class RiskController
{
    public function index(WillFailRequest $request, WillFailQuery $query): WillFailView
    {
        return $query->read($request->wholeOrNull('weeks') ?? 2, $request->words('family'), $request->words('after'));
    }

    /** All of them or none. */
    public function makeJobs(ServiceJobsRequest $request, PlanChanges $plan): MadeJobsView
    {
        Gate::authorize(Ability::Work);
        /** @var list<array{tag: string, positions: list<string>}> $visits */
        $visits = array_values((array) $request->validated('visits'));
        $by = Here::person();

        return DB::transaction(static function () use ($visits, $plan, $by): MadeJobsView {
            $jobs = [];
            foreach ($visits as $i => $visit) {
                $machine = Machine::known($visit['tag']);
                $job = $plan->plan($machine, array_values($visit['positions']), $by, "visits.{$i}.positions");
                $jobs[] = new MadeJobView($machine->tag, $job->id);
            }

            return new MadeJobsView($jobs);
        });
    }
}
