<?php

declare(strict_types=1);

namespace App\Machines;

use App\Diagnosis\Confirmed;
use App\Fleet\LookListQuery;
use App\Intake\Job;
use App\Intake\JobEvent;
use App\Release\Comebacks;
use App\Safety\RedTagView;
use App\Shop\ShopDay;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Config;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;
use OddBench\Machines\Faces;
use OddBench\Release\Destination;

/** Reads a machine’s passport: who, where, what sits in it, every visit and what happened in each. */
final readonly class PassportQuery
{
    private const LINES = 60;

    public function __construct(private Knowledge $knowledge, private LookListQuery $lookLists, private FacesQuery $faces, private ServiceQuery $service, private ShopDay $day)
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
            comebacks: Confirmed::query()->whereNull('superseded_at')->whereNotNull('comeback_of')->whereIn('job_id', Job::query()->select('id')->where('machine_id', $machine->id))->distinct()->count('job_id'),
            ownersPage: Config::string('odd-bench.public_url')."/o/{$machine->page_key}",
            warranty: WarrantyView::of($machine),
            service: array_map(ServiceDueView::of(...), $this->service->of(collect([$machine]))[$machine->id] ?? []),
        );
    }

    /** @return list<FittingView> */
    public function positions(Machine $machine): array
    {
        $fitted = Fitting::query()->with(['part', 'person'])->where('machine_id', $machine->id)->orderBy('id')->get()->groupBy('position');
        $turns = RailTurn::query()->where('machine_id', $machine->id)->orderBy('id')->get();
        $views = [];
        foreach ($this->knowledge->families[$machine->family]->positions ?? [] as $position) {
            $all = $fitted->get($position->code) ?? new Collection;
            $views[] = $this->position($position, $machine, $all, $this->faces->from($position, $turns->where('position', $position->code), $all->firstWhere('removed_at', null)));
        }

        return $views;
    }

    /** @param  Collection<int, Fitting>  $all  what sat there, in order */
    private function position(Position $position, Machine $machine, Collection $all, Faces $faces): FittingView
    {
        $hours = $machine->hoursRun();
        $now = $all->firstWhere('removed_at', null);
        $from = $now?->fitted_hours === null ? null : (float) $now->fitted_hours;
        $earlier = $all->whereNotNull('removed_at')->sortByDesc('id');

        return new FittingView(
            position: $position->code,
            name: $position->name,
            partClass: $position->partClass,
            part: $now?->part?->name,
            fittedAt: $now?->fitted_at->toIso8601String(),
            fittedHours: $from,
            // a position nothing was ever fitted to has run as long as the machine
            hoursOnIt: $hours === null ? null : ($now === null ? ($all->isEmpty() ? $hours : null) : ($from === null ? null : $hours - $from)),
            replacements: $all->count(),
            place: ($this->knowledge->wear[$position->partClass] ?? null)?->place,
            lifeHours: $this->knowledge->lifeHours($position),
            faces: $position->faces,
            facesUsed: $faces->used(),
            upgrade: $now->upgrade ?? false,
            empty: $now === null && $all->isNotEmpty(),
            reason: $now?->reason,
            by: $now?->person?->name,
            earlier: array_values($earlier->take(5)->map(static fn (Fitting $f): EarlierFittingView => new EarlierFittingView(
                $f->part?->name,
                $f->part_id === null ? null : $f->fitted_at->toIso8601String(),
                $f->removed_at?->toIso8601String(),
                $f->removed_hours === null || $f->fitted_hours === null ? null : (float) $f->removed_hours - (float) $f->fitted_hours,
                match ($f->became) {
                    'spare' => "kept as a spare, {$f->grade}", 'seller' => 'back to the seller', 'lost' => 'lost', 'scrap' => 'scrapped', default => null
                },
                $f->reason,
            ))->all()),
        );
    }

    /** @return list<PastJobView> */
    public function jobs(Machine $machine): array
    {
        $jobs = Job::query()->with(['confirmed', 'release'])->where('machine_id', $machine->id)->orderByDesc('id')->limit(50)->get();
        $today = $this->day->today();

        return array_values($jobs->map(fn (Job $job): PastJobView => new PastJobView(
            $job->id,
            $job->kind->value,
            $job->complaint,
            $job->opened_at->toIso8601String(),
            $job->finished_at?->toIso8601String(),
            $job->hours === null ? null : (float) $job->hours,
            array_values($job->confirmed->map(fn (Confirmed $c): string => $this->knowledge->faults[$c->fault]->name ?? $c->fault)->all()),
            $job->release === null ? null : Destination::from($job->release->destination)->words(),
            $job->release?->sheet !== null,
            $this->runs($job, $machine, $today) ? $job->release?->warranty_until?->toDateString() : null,
            $job->release?->warranty_hours === null ? null : (float) $job->release->warranty_hours,
            $job->confirmed->contains(static fn (Confirmed $c): bool => $c->comeback_of !== null),
        ))->all());
    }

    private function runs(Job $job, Machine $machine, string $today): bool
    {
        return Comebacks::warranty($job->release)?->covers($today, $machine->hoursRun()) ?? false;
    }
}
