<?php

declare(strict_types=1);

namespace App\Repair;

use App\Diagnosis\Findings\FoundInJob;
use App\Intake\Job;
use App\Intake\JobState;
use App\Machines\ServiceDone;
use App\Repair\Guides\GuideLineView;
use App\Repair\Guides\GuideRun;
use App\Repair\Guides\GuideRunView;
use App\Repair\Guides\GuidesQuery;
use App\Repair\Guides\GuideStepDone;
use App\Repair\Guides\GuideTimes;
use App\Repair\Guides\GuideWords;
use App\Repair\Service\PlannedChange;
use App\Repair\Service\PlannedChangeView;
use App\Repair\Service\PlannedOfJob;
use App\Repair\Service\ServiceItemView;
use App\Repair\Tray\Explained;
use App\Repair\Tray\TakenOff;
use App\Repair\Tray\TrayQuery;
use App\Repair\Tray\TrayWords;
use App\Shop\Person;
use App\Stock\Kits\KitQuery;
use App\Stock\Kits\Reservation;
use OddBench\Knowledge\Family;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** Gathers what the station Fix shows: tray, way back, differences, guides. */
final readonly class FixQuery
{
    private const OFTEN = 8;

    public function __construct(
        private Knowledge $knowledge,
        private TrayQuery $tray,
        private TrayWords $words,
        private GuidesQuery $guides,
        private GuideWords $guideWords,
        private GuideTimes $times,
        private KitQuery $kit,
    ) {
    }

    public function of(JobState $state, Person $person): FixView
    {
        $job = $state->job;
        $work = WorkOnJob::of($state);
        $work->takenOff->loadMissing(['person', 'photograph']);
        $record = $this->tray->record($work);
        $family = $this->knowledge->families[$job->machine->family] ?? null;
        $open = $work->guideRuns->whereNull('ended_at')->loadMissing(['done', 'person']);

        return new FixView(
            steps: $this->words->steps($work->takenOff, $record),
            reassembly: array_map(intval(...), $record->sequence->order),
            differences: $this->words->differences($record, $work->explained),
            substitutes: $this->words->substitutes($record),
            explanations: array_values($work->explained->map(static fn (Explained $e): string => $e->because)->all()),
            sizes: $this->sizes($job, $family),
            sockets: array_map(strval(...), array_keys($family->sockets ?? [])),
            often: $this->often($job),
            guides: $this->offered($state, $family, $person),
            runs: array_values($open->map(fn (GuideRun $run): GuideRunView => $this->run($job, $run))->all()),
            service: $this->service($job),
            changes: $this->changes($state),
            promised: (int) Reservation::query()->where('job_id', $job->id)->sum('quantity'),
        );
    }

    /** @return list<string> the family’s sizes, those its machines had most of first */
    private function sizes(Job $job, ?Family $family): array
    {
        $seen = [];
        foreach ($this->earlier($job)->limit(200)->pluck('fasteners') as $fasteners) {
            foreach ((array) json_decode(is_string($fasteners) ? $fasteners : (string) json_encode($fasteners), true) as $size => $count) {
                $seen[(string) $size] = ($seen[(string) $size] ?? 0) + (int) $count;
            }
        }
        arsort($seen);

        return array_values(array_unique([...array_map(strval(...), array_keys($seen)), ...($family->fasteners ?? [])]));
    }

    /** @return list<string> */
    private function often(Job $job): array
    {
        return array_values(
            $this->earlier($job)
                ->groupBy('off')
                ->orderByRaw('count(*) desc, off')
                ->limit(self::OFTEN)
                ->pluck('off')
                ->map(static fn (mixed $off): string => (string) $off)
                ->all(),
        );
    }

    private function earlier(Job $job): \Illuminate\Database\Query\Builder
    {
        return TakenOff::query()->toBase()->whereNull('withdrawn_at')
            ->whereIn(
                'job_id',
                Job::query()->select('jobs.id')->join(
                    'machines',
                    'machines.id',
                    '=',
                    'jobs.machine_id',
                )->where('machines.family', $job->machine->family)->toBase(),
            );
    }

    /** @return list<GuideLineView> */
    private function offered(JobState $state, ?Family $family, Person $person): array
    {
        $traits = Traits::of($family->traits ?? []);
        $for = [];
        $fit = array_filter($this->knowledge->guides, static fn (Guide $g): bool => $traits->allow($g->needs));
        foreach ($fit as $guide) {
            foreach (array_intersect(FoundInJob::of($state)->faults(), $guide->mends) as $fault) {
                $for[$guide->code] = $this->knowledge->faultName($fault);
            }
        }
        foreach ($state->job->service_items ?? [] as $code) {
            $item = $this->knowledge->service[$code] ?? null;
            if ($item?->guide !== null && isset($fit[$item->guide])) {
                $for[$item->guide] ??= $item->name;
            }
        }
        foreach (PlannedOfJob::of($state)->all as $change) {
            if ($change->guide !== null && isset($fit[$change->guide])) {
                $for[$change->guide] ??= $this->knowledge->positionName($state->job->machine->family, $change->position);
            }
        }
        $guides = array_values($fit);
        usort($guides, static fn (Guide $a, Guide $b): int => isset($for[$b->code]) <=> isset($for[$a->code]));

        return $this->guides->lines($guides, $person, $for);
    }

    private function run(Job $job, GuideRun $run): GuideRunView
    {
        $guide = $this->knowledge->guide($run->guide);
        $kit = $this->kit->of($job, $guide, $run->school);

        return new GuideRunView(
            $run->id, $guide->code, $guide->name, $run->school, $run->person->name, $run->began_at->toIso8601String(),
            round($this->times->handsOn($run, now()), 1), $this->times->estimate($guide, $run->person)['minutes'],
            array_values($run->done->map(static fn (GuideStepDone $d): int => $d->step)->all()),
            $this->guideWords->steps($guide, $run->school),
            $kit->lines,
            $kit->times,
            $kit->shortest,
            $kit->couldStart,
            $guide->tools,
            $guide->state,
        );
    }

    /** @return list<PlannedChangeView> */
    private function changes(JobState $state): array
    {
        $planned = PlannedOfJob::of($state);

        return array_values($planned->all->map(fn (PlannedChange $c): PlannedChangeView => new PlannedChangeView(
            $c->position,
            $this->knowledge->positionName($state->job->machine->family, $c->position),
            $c->guide,
            in_array($c->position, $planned->done, true),
        ))->all());
    }

    /** @return list<ServiceItemView> */
    private function service(Job $job): array
    {
        $items = $job->service_items ?? [];
        $done = $items === [] ? [] : ServiceDone::query()->where('job_id', $job->id)->pluck('item')->all();

        return array_values(array_map(
            fn (string $code): ServiceItemView => new ServiceItemView(
                $code,
                $this->knowledge->service[$code]->name ?? $code,
                $this->knowledge->service[$code]->guide ?? null,
                in_array($code, $done, true),
            ),
            $items,
        ));
    }
}
