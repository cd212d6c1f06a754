<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Intake\ClaimOrMend;
use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Machines\Machine;
use App\Machines\Warranty;
use App\Repair\Service\KeepService;
use App\Repair\Service\ServiceDoneRequest;
use App\Repair\Service\ServiceJobRequest;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;
use OddBench\Fleet\LifeEnd;

/** What is done to the positions of a machine, its service, and the choice under its maker’s warranty. */
final readonly class CareController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function turn(int $job, string $position, TurnRailRequest $request, ChangePosition $change): JobView
    {
        Gate::authorize(Ability::Work);
        $change->turn(Job::query()->findOrFail($job), $position, $request->words('reason'), Here::person());

        return $this->show->of($job);
    }

    public function remove(int $job, string $position, RemovePartRequest $request, ChangePosition $change): JobView
    {
        Gate::authorize(Ability::Work);
        /** @var 'scrap'|'spare'|'seller'|'lost' $became */
        $became = $request->string('became')->toString();
        /** @var 'tested'|'untested'|null $grade */
        $grade = $request->words('grade');
        $change->remove(
            Job::query()->findOrFail($job),
            $position,
            $became,
            $grade,
            $request->words('reason'),
            Here::person(),
            LifeEnd::tryFrom($request->words('ended') ?? ''),
        );

        return $this->show->of($job);
    }

    public function choose(int $job, WarrantyChoiceRequest $request, ClaimOrMend $warranty): JobView
    {
        Gate::authorize(Ability::Work);
        /** @var 'claim'|'mend' $choice */
        $choice = $request->string('choice')->toString();
        $warranty->choose(Job::query()->findOrFail($job), $choice, $request->words('note'), Here::person());

        return $this->show->of($job);
    }

    public function openService(string $tag, ServiceJobRequest $request, KeepService $service): JobView
    {
        Gate::authorize(Ability::BookIn);
        /** @var list<string> $items */
        $items = array_values((array) $request->validated('items'));

        return $this->show->of($service->open(Machine::known($tag), $items, $request->numberOrNull('hours'), Here::person())->id);
    }

    public function serviceDone(int $job, ServiceDoneRequest $request, KeepService $service): JobView
    {
        Gate::authorize(Ability::Work);
        $service->done(Job::query()->findOrFail($job), $request->string('item')->toString(), Here::person());

        return $this->show->of($job);
    }
}
