<?php

declare(strict_types=1);

namespace App\Intake;

use App\Diagnosis\Confirmed;
use App\Diagnosis\ConfirmedView;
use App\Diagnosis\FindingView;
use App\Diagnosis\JobFinding;
use App\Fleet\LookList;
use App\Fleet\LookListQuery;
use App\Fleet\SistersQuery;
use App\Machines\MachineSummary;
use App\Machines\PassportQuery;
use App\Machines\PastJobView;
use App\Machines\WarrantyView;
use App\Proof\ShowProofs;
use App\Release\GateQuery;
use App\Release\WayOutView;
use App\Release\WriteSheet;
use App\Repair\Mend;
use App\Repair\MendView;
use App\Safety\RedTagView;
use App\Safety\SafetyState;
use App\Shop\Setting;
use App\Stock\MovementView;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** Gathers a job’s screen. */
final readonly class ShowJob
{
    public function __construct(
        private Knowledge $knowledge,
        private WalkQuery $walk,
        private GateQuery $gate,
        private SafetyState $safety,
        private ShowProofs $proofs,
        private PassportQuery $passport,
        private LookListQuery $lookLists,
        private SistersQuery $sisters,
        private WriteSheet $sheet,
    ) {
    }

    public function of(int $id): JobView
    {
        $job = Job::query()->with([
            'machine.owner', 'machine.redTag.putOnBy', 'machine.redTag.offAskedBy', 'machine.redTag.supervisedTest.signedBy', 'machine.openJob',
            'findings.person', 'confirmed', 'diagnoses.person', 'diagnoses.earlier.release', 'mends.person', 'proofResults.person', 'safetyAnswers',
            'takenOff.back', 'explained', 'railTurns', 'movements.part', 'movements.person', 'movements.undoneBy', 'movements.bad', 'movements.machine', 'movements.job.machine', 'spell.person', 'release', 'spool',
        ])->findOrFail($id);
        $mended = $job->mends->pluck('fault')->filter()->all();
        $machine = $job->machine;

        return new JobView(
            id: $job->id,
            version: $job->version,
            machine: MachineSummary::of($machine, $this->knowledge),
            kind: $job->kind->value,
            station: $job->station->value,
            stations: $this->stations($job),
            complaint: $job->complaint,
            screenSaid: $job->screen_said,
            cameAlong: $job->came_along,
            began: $job->began,
            hours: $job->hours === null ? null : (float) $job->hours,
            promisedFor: $job->promised_for?->toDateString(),
            waitsFor: $job->waits_for,
            waitsNote: $job->waits_note,
            waitsUntil: $job->waits_until?->toIso8601String(),
            findPassedBecause: $job->find_passed_because,
            openedAt: $job->opened_at->toIso8601String(),
            finishedAt: $job->finished_at?->toIso8601String(),
            sheet: $job->release?->sheet !== null,
            destination: $job->release === null ? null : Destination::from($job->release->destination)->words(),
            handsOf: $job->spell?->person->name,
            redTag: $machine->redTag === null ? null : RedTagView::of($machine->redTag),
            safetyAnswers: $this->safety->answers($job),
            findings: array_values($job->findings->map(fn (JobFinding $f): FindingView => FindingView::of($f, $this->knowledge))->all()),
            diagnoses: array_values($job->diagnoses->map(fn (Confirmed $c): ConfirmedView => ConfirmedView::of($c, $this->knowledge, in_array($c->fault, $mended, true), $this->sistersToLookAt($job, $c)))->all()),
            mends: array_values($job->mends->map(fn (Mend $m): MendView => MendView::of($m, $this->knowledge))->all()),
            parts: array_values($job->movements->where('kind', 'used')->map(MovementView::of(...))->all()),
            proofs: $this->proofs->of($job),
            waysOut: $this->waysOut($job),
            positions: $this->passport->positions($machine),
            pastJobs: array_values(array_filter($this->passport->jobs($machine), static fn (PastJobView $p): bool => $p->id !== $job->id)),
            lookLists: $this->lookLists->ofMachine($machine),
            warranty: WarrantyView::of($machine, $job->warranty_choice),
            spool: $job->spool === null ? null : "{$job->spool->code}, ".trim("{$job->spool->material} {$job->spool->colour}"),
        );
    }

    /** How many other machines are worth the same look, when nobody has begun to look. */
    private function sistersToLookAt(Job $job, Confirmed $confirmed): ?int
    {
        $fault = $this->knowledge->faults[$confirmed->fault] ?? null;
        if ($fault?->sisters === null || $confirmed->superseded_at !== null || LookList::query()->where('fault', $fault->code)->where(fn ($q) => $q->whereNull('closed_at')->orWhere('job_id', $job->id))->exists()) {
            return null;
        }
        $many = $this->sisters->of($fault, $job->machine)->count();

        return $many === 0 ? null : $many;
    }

    /** @return list<StationView> */
    private function stations(Job $job): array
    {
        $minutes = $job->spells()->toBase()
            ->selectRaw('station, sum(extract(epoch from coalesce(ended_at, least(?::timestamptz, last_seen_at + interval \'30 minutes\')) - began_at)) / 60 as minutes', [now()->toIso8601String()])
            ->groupBy('station')->pluck('minutes', 'station');
        $walk = $this->walk->of($job);

        return array_map(static fn (Station $s): StationView => new StationView($s->value, $s->words(), round((float) ($minutes[$s->value] ?? 0), 1), $walk->obstacles($job->station, $s)), Station::cases());
    }

    /** @return list<WayOutView> */
    private function waysOut(Job $job): array
    {
        $gate = $this->gate->of($job);

        $condition = $job->isOpen() && $job->station === Station::Release ? $this->sheet->condition($job, null) : null;

        return array_map(static fn (Destination $to): WayOutView => new WayOutView(
            $to->value,
            $to->words(),
            $to->runsAgain(),
            $to === Destination::Unmended && $gate->redTag,
            $gate->reasonsAgainst($to, true),
            $to->runsAgain() ? Setting::whole('warranty_days') : null,
            $to->runsAgain() && $job->machine->hours !== null ? Setting::whole('warranty_hours') : null,
            $to === Destination::Sale ? $condition?->grade->value : null,
            $to === Destination::Sale ? $condition->because ?? [] : [],
        ), Destination::forMachineHeldAs($job->machine->held_as));
    }
}
