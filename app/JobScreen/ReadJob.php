<?php

declare(strict_types=1);

namespace App\JobScreen;

use App\Diagnosis\Faults\Confirmed;
use App\Diagnosis\Faults\ConfirmedView;
use App\Diagnosis\Findings\FindingView;
use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Findings\JobFinding;
use App\Fleet\Campaigns\Campaign;
use App\Fleet\Campaigns\CampaignQuery;
use App\Fleet\Campaigns\SistersQuery;
use App\Intake\Accessory;
use App\Intake\AccessoryView;
use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\JobStates;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Intake\StationView;
use App\Intake\WalkQuery;
use App\Intake\WorkSpell;
use App\Machines\HoursQuery;
use App\Machines\Warranty;
use App\Machines\WarrantyView;
use App\Passport\MachineSummary;
use App\Proof\ShowProofs;
use App\Release\GateQuery;
use App\Release\PastJobView;
use App\Release\Release;
use App\Release\VisitsQuery;
use App\Release\WayOutView;
use App\Release\WriteSheet;
use App\Repair\Mend;
use App\Repair\MendView;
use App\Repair\Positions\PositionsQuery;
use App\Repair\WorkOnJob;
use App\Safety\AnswersOfJob;
use App\Safety\RedTagView;
use App\Safety\SafetyOfJob;
use App\Shop\Person;
use App\Shop\Setting;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\MovementView;
use App\Stock\Shelf\StockOfJob;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** Puts a job’s screen together from what the rooms say of it. */
final readonly class ReadJob implements ShowJob
{
    public function __construct(
        private Knowledge $knowledge,
        private JobStates $states,
        private WalkQuery $walk,
        private GateQuery $gate,
        private ShowProofs $proofs,
        private PositionsQuery $positions,
        private HoursQuery $hours,
        private VisitsQuery $visits,
        private CampaignQuery $campaigns,
        private SistersQuery $sisters,
        private WriteSheet $sheet,
        private Warranty $warranty,
    ) {
    }

    public function of(int $id): JobView
    {
        $state = $this->states->of($id);
        $job = $state->job;
        $machine = $job->machine->loadMissing('owner');
        $found = FoundInJob::of($state);
        $found->diagnoses->loadMissing('earlier');
        $work = WorkOnJob::of($state);
        $mended = $work->mended();
        $stock = StockOfJob::of($state);
        $stock->movements->each(static fn (Movement $m) => $m->setRelation('job', $job))->loadMissing(['undoneBy', 'bad', 'machine']);
        $safety = SafetyOfJob::of($state);
        $release = $job->isOpen() ? null : Release::query()->where('job_id', $id)->first();
        $job->loadMissing('spell');
        Person::name([...$found->findings(), ...$found->diagnoses, ...$work->mends, ...$stock->movements, ...array_filter([$job->spell])]);

        return new WholeJobView(
            id: $job->id,
            version: $job->version,
            machine: MachineSummary::of(
                $machine,
                $this->knowledge,
                $safety->redTag !== null,
                $job->isOpen() ? $id : Job::openOf([$machine->id])[$machine->id] ?? null,
                $this->hours->ofOne($machine),
            ),
            kind: $job->kind->value,
            station: $job->station->value,
            stations: $this->stations($state),
            complaint: $job->complaint,
            screenSaid: $job->screen_said,
            cameAlong: $job->came_along,
            accessories: array_values(Accessory::of($state)->map(AccessoryView::of(...))->all()),
            began: $job->began,
            hours: $job->hours === null ? null : (float) $job->hours,
            hoursAbout: $job->hours_about,
            promisedFor: $job->promised_for?->toDateString(),
            waitsFor: $job->waits_for,
            waitsNote: $job->waits_note,
            waitsUntil: $job->waits_until?->toIso8601String(),
            waitsHot: $job->waits_hot,
            findPassedBecause: $job->find_passed_because,
            openedAt: $job->opened_at->toIso8601String(),
            finishedAt: $job->finished_at?->toIso8601String(),
            sheet: $release?->sheet !== null,
            destination: $release === null ? null : Destination::from($release->destination)->words(),
            handsOf: $job->spell?->person->name,
            redTag: $safety->redTag === null ? null : RedTagView::of($safety->redTag),
            safetyAnswers: AnswersOfJob::of($state)->answers,
            findings: array_values(
                $found->findings()->map(fn (JobFinding $f): FindingView => FindingView::of($f, $this->knowledge))->all(),
            ),
            diagnoses: array_values($found->diagnoses->map(fn (Confirmed $c): ConfirmedView => ConfirmedView::of(
                $c,
                $this->knowledge,
                in_array($c->fault, $mended, true),
                $this->sistersToLookAt($job, $c),
            ))->all()),
            mends: array_values($work->mends->map(fn (Mend $m): MendView => MendView::of($m, $this->knowledge))->all()),
            parts: array_values($stock->movements->where('kind', 'used')->map(MovementView::of(...))->all()),
            proofs: $this->proofs->of($state),
            waysOut: $this->waysOut($state),
            positions: $this->positions->of($machine),
            pastJobs: array_values(array_filter($this->visits->of($machine), static fn (PastJobView $p): bool => $p->id !== $job->id)),
            campaigns: $this->campaigns->ofMachine($machine),
            warranty: WarrantyView::of($machine, $this->warranty->runs($machine), $job->warranty_choice),
            spool: $stock->spool === null ? null : "{$stock->spool->code}, ".trim("{$stock->spool->material} {$stock->spool->colour}"),
        );
    }

    /** How many other machines are worth the same look, when nobody has begun to look. */
    private function sistersToLookAt(Job $job, Confirmed $confirmed): ?int
    {
        $fault = $this->knowledge->faults[$confirmed->fault] ?? null;
        if ($fault?->sisters === null
            || $confirmed->superseded_at !== null
            || Campaign::query()->where('fault', $fault->code)
                ->where(fn ($q) => $q->whereNull('closed_at')->orWhere('job_id', $job->id))
                ->exists()) {
            return null;
        }
        $many = $this->sisters->of($fault, $job->machine)->count();

        return $many === 0 ? null : $many;
    }

    /** @return list<StationView> */
    private function stations(JobState $state): array
    {
        $job = $state->job;
        [$sum, $bound] = WorkSpell::minutes();
        $minutes = $job->spells()
            ->toBase()
            ->selectRaw("station, {$sum} AS minutes", $bound)
            ->groupBy('station')
            ->pluck('minutes', 'station');
        $walk = $this->walk->of($state);

        return array_map(
            static fn (Station $s): StationView => new StationView(
                $s->value,
                $s->words(),
                round((float) ($minutes[$s->value] ?? 0), 1),
                $walk->obstacles($job->station, $s),
            ),
            Station::cases(),
        );
    }

    /** @return list<WayOutView> */
    private function waysOut(JobState $state): array
    {
        $job = $state->job;
        $gate = $this->gate->of($state);
        $condition = $job->isOpen() && $job->station === Station::Release ? $this->sheet->condition($state, null) : null;

        return array_map(static fn (Destination $to): WayOutView => new WayOutView(
            $to->value,
            $to->words(),
            $to->runsAgain(),
            $to === Destination::Unmended && $gate->redTag,
            $gate->reasonsAgainst($to, true, true),
            $to->runsAgain() ? Setting::whole('warranty_days') : null,
            $to->runsAgain() && $job->machine->hours !== null ? Setting::whole('warranty_hours') : null,
            $to === Destination::Sale ? $condition?->grade->value : null,
            $to === Destination::Sale ? $condition->because ?? [] : [],
        ), Destination::forMachineHeldAs($job->machine->held_as));
    }
}
