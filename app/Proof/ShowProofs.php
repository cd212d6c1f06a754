<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\JobState;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Proof\Owed;

/** The ladder of proofs of a job for the page. */
final readonly class ShowProofs
{
    public function __construct(private OwedQuery $owed, private Knowledge $knowledge)
    {
    }

    /** @return list<ProofView> in the order of their stages */
    public function of(JobState $state): array
    {
        $job = $state->job;
        $plan = $this->owed->plan($state);
        $standing = $this->owed->standing($state);
        (new Collection(array_values($standing)))->loadMissing('person');
        $open = $plan->openStage(array_map(static fn (ProofResult $r): bool => $r->passed, $standing));

        return array_map(function (Owed $owed) use ($job, $standing, $open): ProofView {
            $result = $standing[$owed->proof->code] ?? null;
            $proof = $owed->proof;

            return new ProofView(
                $proof->code,
                $proof->name,
                $proof->stage->value,
                $proof->stage->words(),
                $proof->how,
                $owed->because,
                $proof->unit,
                $owed->limits(),
                $proof->caution,
                $proof->failsAs === null ? null : $this->knowledge->findings[$proof->failsAs]->name,
                match (true) {
                    $result?->passed === true => 'passed',
                    $result?->passed === false => 'failed',
                    $proof->stage === $open => 'open',
                    default => 'later',
                },
                $result?->value, $result?->person->name, $result?->at->toIso8601String(), $result?->waived_because, ! $proof->neverWaived,
                $proof->log !== null,
                StageProofs::print($proof->code) === null ? null : "/files/jobs/{$job->id}/".StageProofs::print($proof->code).'.gcode',
                $result?->note,
                $result?->photograph_id === null ? null : "/files/photographs/{$result->photograph_id}.jpg",
            );
        }, $plan->owed);
    }
}
