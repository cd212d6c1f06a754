<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Api\Refused;
use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Ranking\DiagnosisQuery;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\MoveJob;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Intake\WalkQuery;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;

/** Ends Find: with one or several faults, or with the reason why nothing is to be mended. Takes a wrong diagnosis back. */
final readonly class ConfirmFaults
{
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private DiagnosisQuery $diagnosis,
        private KnowsComebacks $comebacks,
        private WalkQuery $walk,
    ) {
    }

    /**
     * @param  Job|int  $job  the job, or its id
     * @param  list<string>  $faults  codes
     *
     * @throws InputError for an unknown fault, or one this machine cannot have
     */
    public function confirm(Job|int $job, array $faults, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($faults, $by): Said {
            $beliefs = [];
            foreach ($this->diagnosis->of(JobState::of($job))->suspects() as $suspect) {
                $beliefs[$suspect->code] = $suspect->probability;
            }
            $already = FoundInJob::of(JobState::of($job))->faults();
            $words = [];
            foreach (array_unique($faults) as $i => $code) {
                $fault = $this->knowledge->fault($code, "faults.{$i}");
                $belief = $beliefs[$code] ?? throw InputError::at(
                    "faults.{$i}",
                    "“{$fault->name}” cannot be on this machine: its family lacks what it takes.",
                );
                if (in_array($code, $already, true)) {
                    continue;
                }
                $earlier = $this->comebacks->of($job->machine, $code);
                Confirmed::query()->create([
                    'job_id' => $job->id,
                    'fault' => $code,
                    'probability' => $belief,
                    'comeback_of' => $earlier?->id,
                    'person_id' => $by->id,
                    'at' => now(),
                ]);
                $words[] = sprintf(
                    '%s (%d %%)',
                    $fault->name,
                    (int) round(100 * $belief),
                ).($earlier?->finished_at === null ? '' : ", a comeback: mended here {$earlier->finished_at->format('j M Y')}, within its warranty");
            }
            if ($words === []) {
                throw Refused::because('faults', 'These faults are confirmed already.');
            }
            $notAgreed = $this->walk->of(JobState::of($job))->notAgreed;
            if ($notAgreed === []) {
                MoveJob::put($job, Station::Repair, null);
            }

            return new Said(
                'confirmed',
                'Confirmed: '.implode(', ', $words).($notAgreed === [] ? '' : ". It stays at Find: {$notAgreed[0]}"),
            );
        }, at: OnlyAt::the('faults are confirmed', Station::Diagnosis));
    }

    /** Nothing is to be mended here: the reason stands in the record. */
    public function pass(Job|int $job, string $reason, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($reason): Said {
            if (mb_strlen(trim($reason)) < 3) {
                throw InputError::at('reason', 'Say why Find is passed: no fault found, not worth it, or nothing was broken.');
            }
            $job->find_passed_because = trim($reason);
            MoveJob::put($job, Station::Repair, null);

            return new Said('find-passed', "Find passed: {$job->find_passed_because}");
        }, at: OnlyAt::the('faults are confirmed', Station::Diagnosis));
    }

    /** It was something else: the wrong diagnosis stays in the record with what overturned it. */
    public function supersede(Job|int $job, string $fault, ?string $overturnedBy, int $version, Person $by): Job
    {
        $known = $this->knowledge->fault($fault);
        $finding = $overturnedBy === null ? null : $this->knowledge->finding($overturnedBy, 'overturnedBy');

        return $this->record->write($job, $by, $version, function (Job $job) use ($known, $finding, $by): Said {
            $changed = Confirmed::query()->where(['job_id' => $job->id, 'fault' => $known->code])->whereNull('superseded_at')
                ->update(['superseded_at' => now(), 'superseded_by' => $by->id, 'overturned_by' => $finding?->code]);
            if ($changed === 0) {
                throw Refused::because('fault', "“{$known->name}” is not confirmed in this job.");
            }
            if ($job->station->comesAfter(Station::Diagnosis)) {
                MoveJob::put($job, Station::Diagnosis, null);
            }

            return new Said('superseded', "It was not: {$known->name}".($finding === null ? '' : ", overturned by: {$finding->name}"));
        });
    }
}
