<?php

declare(strict_types=1);

namespace App\Machines;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

/** Positions, warranty and service of a machine. */
final readonly class CareController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function turn(int $job, string $position, TurnRailRequest $request, ChangePosition $change): JobView
    {
        Gate::authorize('work', Job::class);
        $change->turn(Job::query()->findOrFail($job), $position, $request->words('reason'), Here::person());

        return $this->show->of($job);
    }

    public function remove(int $job, string $position, RemovePartRequest $request, ChangePosition $change): JobView
    {
        Gate::authorize('work', Job::class);
        /** @var 'scrap'|'spare'|'seller'|'lost' $became */
        $became = $request->string('became')->toString();
        /** @var 'tested'|'untested'|null $grade */
        $grade = $request->words('grade');
        $change->remove(Job::query()->findOrFail($job), $position, $became, $grade, $request->words('reason'), Here::person());

        return $this->show->of($job);
    }

    public function warranty(string $tag, WarrantyRequest $request, Warranty $warranty, PassportQuery $passport): PassportView
    {
        Gate::authorize('edit', Job::class);
        $machine = Machine::known($tag);
        /** @var 'maker'|'seller'|null $by */
        $by = $request->words('by');
        $warranty->note($machine, $by, $request->words('until'), $request->words('note'));

        return $passport->of($machine->refresh());
    }

    public function choose(int $job, WarrantyChoiceRequest $request, Warranty $warranty): JobView
    {
        Gate::authorize('work', Job::class);
        /** @var 'claim'|'mend' $choice */
        $choice = $request->string('choice')->toString();
        $warranty->choose(Job::query()->findOrFail($job), $choice, $request->words('note'), Here::person());

        return $this->show->of($job);
    }

    public function openService(string $tag, ServiceJobRequest $request, KeepService $service): JobView
    {
        Gate::authorize('bookIn', Job::class);
        /** @var list<string> $items */
        $items = array_values((array) $request->validated('items'));

        return $this->show->of($service->open(Machine::known($tag), $items, $request->numberOrNull('hours'), Here::person())->id);
    }

    public function serviceDone(int $job, ServiceDoneRequest $request, KeepService $service): JobView
    {
        Gate::authorize('work', Job::class);
        $service->done(Job::query()->findOrFail($job), $request->string('item')->toString(), Here::person());

        return $this->show->of($job);
    }
}
