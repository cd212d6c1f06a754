<?php

declare(strict_types=1);

namespace App\Passport;

use App\Diagnosis\Faults\Confirmed;
use App\Fleet\Campaigns\CampaignQuery;
use App\Intake\Job;
use App\Intake\JobEvent;
use App\Machines\HoursQuery;
use App\Machines\HoursView;
use App\Machines\Machine;
use App\Machines\ServiceDueView;
use App\Machines\ServiceQuery;
use App\Machines\Warranty;
use App\Machines\WarrantyView;
use App\Release\VisitsQuery;
use App\Repair\Positions\PositionsQuery;
use App\Safety\RedTag;
use App\Safety\RedTagView;
use Illuminate\Support\Facades\Config;
use OddBench\Knowledge\Knowledge;

/** Reads a machine’s passport: who, where, what sits in it, every visit and what happened in each. */
final readonly class PassportQuery
{
    private const LINES = 60;

    public function __construct(
        private Knowledge $knowledge,
        private CampaignQuery $campaigns,
        private PositionsQuery $positions,
        private VisitsQuery $visits,
        private ServiceQuery $service,
        private Warranty $warranty,
        private HoursQuery $hours,
    ) {
    }

    /** Address of the page its owner may see; without a server in front when none was set for labels. */
    public static function ownersPage(Machine $machine): string
    {
        return Config::string('odd-bench.public_url')."/o/{$machine->page_key}";
    }

    public function of(Machine $machine, ?int $olderThan = null): PassportView
    {
        $machine->loadMissing('owner');
        $tag = RedTag::wornBy($machine->id);
        $events = JobEvent::query()
            ->with('person')
            ->where('machine_id', $machine->id)
            ->when($olderThan !== null, fn ($query) => $query->where('id', '<', $olderThan))
            ->orderByDesc('id')
            ->limit(self::LINES + 1)
            ->get();

        return new PassportView(
            machine: MachineSummary::of(
                $machine,
                $this->knowledge,
                $tag !== null,
                Job::openOf([$machine->id])[$machine->id] ?? null,
                $this->hours->ofOne($machine),
            ),
            hours: HoursView::of($machine, $this->hours->ofOne($machine)),
            ownerId: $machine->owner_id,
            notes: $machine->notes,
            hasPrinter: $machine->printer_host !== null,
            ownerContact: $machine->owner?->contact,
            pricePaidMinor: $machine->price_paid_minor,
            redTag: $tag === null ? null : RedTagView::of($tag),
            positions: $this->positions->of($machine),
            jobs: $this->visits->of($machine),
            timeline: array_values($events->take(self::LINES)->map(TimelineLine::of(...))->all()),
            olderThan: $events->count() > self::LINES ? $events[self::LINES - 1]->id : null,
            campaigns: $this->campaigns->ofMachine($machine),
            comebacks: Confirmed::query()->whereNull('superseded_at')->whereNotNull('comeback_of')->whereIn(
                'job_id',
                Job::query()->select('id')->where('machine_id', $machine->id),
            )->distinct()->count('job_id'),
            ownersPage: self::ownersPage($machine),
            warranty: WarrantyView::of($machine, $this->warranty->runs($machine)),
            service: array_map(ServiceDueView::of(...), $this->service->of(collect([$machine]))[$machine->id] ?? []),
        );
    }
}
