<?php

declare(strict_types=1);

namespace App\Machines;

use App\Diagnosis\Confirmed;
use App\Fleet\LookListQuery;
use App\Intake\Job;
use App\Intake\JobEvent;
use App\Safety\RedTagView;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** Reads a machine’s passport: who, where, what sits in it, every visit and what happened in each. */
final readonly class PassportQuery
{
    private const LINES = 60;

    public function __construct(private Knowledge $knowledge, private LookListQuery $lookLists)
    {
    }

    public function of(Machine $machine, ?int $olderThan = null): PassportView
    {
        $machine->loadMissing(['owner', 'openJob', 'redTag.putOnBy', 'redTag.offAskedBy', 'redTag.supervisedTest.signedBy']);
        $events = JobEvent::query()
            ->with('person')
            ->where('machine_id', $machine->id)
            ->when($olderThan !== null, fn ($query) => $query->where('id', '<', $olderThan))
            ->orderByDesc('id')
            ->limit(self::LINES + 1)
            ->get();

        return new PassportView(
            machine: MachineSummary::of($machine, $this->knowledge),
            ownerContact: $machine->owner?->contact,
            pricePaidMinor: $machine->price_paid_minor,
            redTag: $machine->redTag === null ? null : RedTagView::of($machine->redTag),
            positions: $this->positions($machine),
            jobs: $this->jobs($machine),
            timeline: array_values($events->take(self::LINES)->map(TimelineLine::of(...))->all()),
            olderThan: $events->count() > self::LINES ? $events[self::LINES - 1]->id : null,
            lookLists: $this->lookLists->ofMachine($machine),
        );
    }

    /** @return list<FittingView> */
    public function positions(Machine $machine): array
    {
        $fitted = Fitting::query()->with('part')->where('machine_id', $machine->id)->orderBy('id')->get()->groupBy('position');
        $hours = $machine->hoursRun();
        $views = [];
        foreach ($this->knowledge->families[$machine->family]->positions ?? [] as $position) {
            $all = $fitted->get($position->code);
            $now = $all?->firstWhere('removed_at', null);
            $from = $now?->fitted_hours === null ? null : (float) $now->fitted_hours;
            $views[] = new FittingView(
                $position->code,
                $position->name,
                $position->partClass,
                $now?->part?->name,
                $now?->fitted_at->toIso8601String(),
                $from,
                // a position nothing was ever fitted to has run as long as the machine
                $hours === null ? null : ($now === null ? $hours : ($from === null ? null : $hours - $from)),
                $all?->count() ?? 0,
            );
        }

        return $views;
    }

    /** @return list<PastJobView> */
    public function jobs(Machine $machine): array
    {
        $jobs = Job::query()->with(['confirmed', 'release'])->where('machine_id', $machine->id)->orderByDesc('id')->limit(50)->get();

        return array_values($jobs->map(fn (Job $job): PastJobView => new PastJobView(
            $job->id,
            $job->kind->value,
            $job->complaint,
            $job->opened_at->toIso8601String(),
            $job->finished_at?->toIso8601String(),
            $job->hours === null ? null : (float) $job->hours,
            array_values($job->confirmed->map(fn (Confirmed $c): string => $this->knowledge->faults[$c->fault]->name ?? $c->fault)->all()),
            $job->release === null ? null : Destination::from($job->release->destination)->words(),
        ))->all());
    }
}
