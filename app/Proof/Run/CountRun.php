<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\Refused;
use App\Intake\JobState;
use App\Proof\OwedQuery;
use App\Proof\RecordProof;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Proof\Run\RunStage;

/** Writes down as proofs what a run has shown, as far as their stages are open; what is proved by hand opens the others. */
final readonly class CountRun
{
    public function __construct(private OwedQuery $owed, private RecordProof $record)
    {
    }

    public function of(ProofRun $run): void
    {
        $job = $run->job->refresh();
        if ($job->station !== Station::Proof || $job->station_since->gt($run->began_at)) {
            // it has been worked on since: what the run showed is of another machine
            return;
        }
        for ($again = true; $again;) {
            $again = false;
            $state = JobState::of($job);
            foreach ($this->owed->plan($state)->missing($this->owed->passed($state)) as $owed) {
                $result = $run->results[RunStage::showing($owed->proof->code)->value ?? ''] ?? null;
                if ($result === null || ! $result['passed'] || ($owed->proof->unit !== null && $result['value'] === null)) {
                    continue;
                }
                try {
                    $this->record->record(
                        $job,
                        $owed->proof->code,
                        $owed->proof->unit === null ? null : $result['value'],
                        true,
                        $run->person,
                    );
                    $again = true;
                } catch (Refused|InputError) {
                    // its stage is not open yet
                    continue;
                }
                break;
            }
        }
    }
}
