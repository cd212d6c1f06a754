<?php

declare(strict_types=1);

namespace App\Proof;

use App\Api\Refused;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\MoveJob;
use App\Intake\OnlyAt;
use App\Intake\Photograph;
use App\Intake\Said;
use App\Safety\PutOnRedTag;
use App\Safety\SafetyOfJob;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Owed;
use OddBench\Proof\ProvedByLog;

/** Writes down how a proof went. A failed one sends the job back to Find with the finding it is evidence of. */
final readonly class RecordProof
{
    public function __construct(
        private Knowledge $knowledge,
        private JobRecord $record,
        private OwedQuery $owed,
        private Findings $findings,
        private PutOnRedTag $redTag,
    ) {
    }

    /**
     * @param  bool|null  $passed  judged by eye; not asked when the proof has limits
     *
     * @throws InputError when the value or the judgement is missing, or a log does not show it
     * @throws Refused when it is not owed, its stage is not open or a red tag is on
     */
    public function record(Job $job, string $code, ?float $value, ?bool $passed, Person $by, Evidence $evidence = new Evidence): Job
    {
        $proof = $this->knowledge->proof($code);
        if ($evidence->log !== null) {
            $value = $proof->log === null
                ? throw InputError::at('log', "“{$proof->name}” is not read out of a log.")
                : ProvedByLog::value($proof->log, $proof->heater, $evidence->log, $evidence->intervalS);
        }
        if ($evidence->photograph !== null
            && ! Photograph::query()->where(['id' => $evidence->photograph, 'job_id' => $job->id])->exists()) {
            throw InputError::at('photograph', 'There is no such photograph in this job. Send it first.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($code, $value, $passed, $by, $evidence): Said {
            $owed = $this->open($job, $code);
            [$value, $ok] = $this->judge($owed, $value, $passed);
            ProofResult::query()->create([
                'job_id' => $job->id,
                'proof' => $code,
                'passed' => $ok,
                'value' => $value,
                'unit' => $value === null ? null : $owed->proof->unit,
                'note' => $evidence->note,
                'photograph_id' => $evidence->photograph,
                'log' => $evidence->log,
                'person_id' => $by->id,
                'at' => now(),
            ]);
            $measured = $value === null ? '' : ": {$value} {$owed->proof->unit}";
            if ($ok) {
                return new Said(
                    'proof-passed',
                    "Proved {$owed->proof->name}{$measured}".($evidence->note === null ? '' : ". {$evidence->note}"),
                );
            }

            return $this->backToFind($job, $owed, $measured, $by);
        }, at: OnlyAt::the('proofs are done', Station::Proof));
    }

    /** A lead says in words why a proof is not done; those that keep people from harm are never waived. */
    public function waive(Job $job, string $code, string $because, Person $by): Job
    {
        $proof = $this->knowledge->proof($code);
        if ($proof->neverWaived) {
            throw Refused::because('proof', "“{$proof->name}” is never waived: somebody could be hurt without it.");
        }
        if (mb_strlen($because) < 10) {
            throw InputError::at('because', 'Say it in a few words: whoever has this machine next reads it.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($code, $because, $by): Said {
            $owed = $this->open($job, $code);
            ProofResult::query()->create([
                'job_id' => $job->id,
                'proof' => $code,
                'passed' => true,
                'waived_because' => $because,
                'person_id' => $by->id,
                'at' => now(),
            ]);

            return new Said('proof-passed', "Waived {$owed->proof->name}: {$because}");
        }, at: OnlyAt::the('proofs are done', Station::Proof));
    }

    private function open(Job $job, string $code): Owed
    {
        $state = JobState::of($job);
        if (SafetyOfJob::of($state)->redTag !== null) {
            throw Refused::because('redTag', 'The machine wears a red tag: nothing is proved until it is off.');
        }
        $plan = $this->owed->plan($state);
        $owed = $plan->find($code) ?? throw Refused::because('proof', "This job does not owe “{$this->knowledge->proofs[$code]->name}”.");
        $open = $plan->openStage($this->owed->passed($state));
        if ($open !== null && array_search($owed->proof->stage, $plan->stages(), true) > array_search($open, $plan->stages(), true)) {
            throw Refused::because('proof', "“{$owed->proof->stage->words()}” opens when “{$open->words()}” has passed.");
        }

        return $owed;
    }

    /** @return array{float|null, bool} */
    private function judge(Owed $owed, ?float $value, ?bool $passed): array
    {
        if ($owed->proof->unit !== null) {
            if ($value === null) {
                throw InputError::at('value', "Give the value measured, in {$owed->proof->unit}; it passes with {$owed->limits()}.");
            }

            return [$value, $owed->passes($value)];
        }
        if ($passed === null) {
            throw InputError::at('passed', 'Did it pass or fail?');
        }

        return [null, $passed];
    }

    private function backToFind(Job $job, Owed $owed, string $measured, Person $by): Said
    {
        $finding = $owed->proof->failsAs === null ? null : $this->knowledge->findings[$owed->proof->failsAs];
        if ($finding !== null) {
            $this->findings->put($job, $finding->code, true, "proof:{$owed->proof->code}", trim($measured, ': ') ?: null, $by);
            if ($finding->redTag) {
                $this->redTag->on($job, $finding->name, $by);
            }
        }
        MoveJob::put($job, Station::Diagnosis, null);

        return new Said(
            'proof-failed',
            "Failed {$owed->proof->name}{$measured}. Back to Find".($finding === null ? '' : " with: {$finding->name}"),
        );
    }
}
