<?php

declare(strict_types=1);

namespace App\Proof;

use App\Api\Refused;
use App\Diagnosis\RecordFinding;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\MoveJob;
use App\Intake\Said;
use App\Safety\PutOnRedTag;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Stage;
use OddBench\Proof\Owed;

/** Starts a proof run, answers it, stops it, and takes what failed back to Find. */
final readonly class ControlRun
{
    public function __construct(private Knowledge $knowledge, private JobRecord $record, private OwedQuery $owed, private RecordFinding $findings, private PutOnRedTag $redTag)
    {
    }

    /** @param  list<string>  $leaveOut  stages for another time, such as the long print */
    public function start(Job $job, string $host, int $port, array $leaveOut, Person $by): Job
    {
        if (preg_match('/^[A-Za-z0-9](?:[A-Za-z0-9.-]{0,118})$|^\[[0-9a-fA-F:]+\]$/', $host) !== 1) {
            throw InputError::at('host', 'Give the name or address of the printer or its bridge, without a port.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($host, $port, $leaveOut, $by): Said {
            if ($job->station !== Station::Proof) {
                throw Refused::because('station', "The job stands at {$job->station->words()}; runs are started at Prove.");
            }
            if ($job->machine->redTag()->exists()) {
                throw Refused::because('redTag', 'The machine wears a red tag: nothing is run until it is off.');
            }
            if (ProofRun::query()->where('machine_id', $job->machine_id)->whereNull('ended_at')->exists()) {
                throw Refused::because('run', 'A run is under way on this machine already. Stop it first.');
            }
            if (ProofRun::query()->whereNull('ended_at')->whereHas('job.machine', static fn ($q) => $q->where(['printer_host' => $host, 'printer_port' => $port]))->exists()) {
                throw Refused::because('port', 'Another machine’s run speaks with the printer at this address now. Is the address right?');
            }
            $job->load(OwedQuery::NEEDS);
            $passed = $this->owed->passed($job);
            $plan = $this->owed->plan($job);
            if ($plan->openStage($passed) === Stage::Cold) {
                throw Refused::because('stage', 'First what is proved cold and unplugged: '.implode(', ', array_map(static fn (Owed $o): string => $o->proof->name, array_filter($plan->missing($passed), static fn (Owed $o): bool => $o->proof->stage === Stage::Cold))).'.');
            }
            $stages = array_values(array_diff(StageProofs::owed($plan, $passed), $leaveOut));
            $job->machine->update(['printer_host' => $host, 'printer_port' => $port]);
            ProofRun::query()->create(['job_id' => $job->id, 'machine_id' => $job->machine_id, 'stages' => $stages, 'state' => 'waiting', 'results' => (object) [], 'person_id' => $by->id, 'began_at' => now()]);

            return new Said('run', 'Proof run begun: '.implode(', ', array_map(static fn (string $s): string => mb_strtolower(StageProofs::NAMES[$s]), $stages)));
        });
    }

    public function answer(ProofRun $run, string $answer): void
    {
        if ($run->state !== 'asking' || ! in_array($answer, $run->choices ?? [], true)) {
            throw Refused::because('answer', 'This run does not ask that now.');
        }
        ProofRun::query()->where(['id' => $run->id, 'state' => 'asking'])->update(['answer' => $answer]);
    }

    public function stop(ProofRun $run): void
    {
        ProofRun::query()->where('id', $run->id)->whereNull('ended_at')->update(['stop_asked' => true]);
    }

    /** A run that failed goes back to Find with what it is evidence of. */
    public function takeBack(Job $job, ProofRun $run, Person $by): Job
    {
        $stage = array_key_last($run->results);
        $result = $stage === null ? null : $run->results[$stage];
        if ($run->job_id !== $job->id || $run->state !== 'failed' || $result === null || $result['passed']) {
            throw Refused::because('run', 'Only a run that failed is taken back to Find.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($result, $by): Said {
            if ($job->station !== Station::Proof) {
                throw Refused::because('station', 'The job has left Prove already.');
            }
            $finding = $result['finding'] === null ? null : ($this->knowledge->findings[$result['finding']] ?? null);
            if ($finding !== null) {
                $this->findings->measured($job, $finding->code, true, 'proof:run', null, $by);
            }
            if ($result['danger'] || ($finding->redTag ?? false)) {
                $this->redTag->on($job, $result['words'], $by);
            }
            MoveJob::put($job, Station::Diagnosis, null);

            return new Said('proof-failed', "Failed in the run: {$result['words']} Back to Find".($finding === null ? '' : " with: {$finding->name}"));
        });
    }
}
