<?php

declare(strict_types=1);

namespace App\Intake;

use App\Diagnosis\Confirmed;
use App\Proof\OwedQuery;
use App\Repair\Mend;
use App\Repair\TrayQuery;
use App\Safety\SafetyState;
use OddBench\Intake\Walk;

/** Reads what the rules of the stations need to know of a job. */
final readonly class WalkQuery
{
    public function __construct(private OwedQuery $owed, private SafetyState $safety, private TrayQuery $tray)
    {
    }

    public function of(Job $job): Walk
    {
        $job->loadMissing(['confirmed', 'mends', 'proofResults', 'safetyAnswers', 'machine.redTag', 'movements', 'takenOff.back', 'explained', 'railTurns']);

        return new Walk(
            safetyAnswered: $this->safety->unanswered($job) === [],
            redTag: $job->machine->redTag !== null,
            confirmed: $job->confirmed->count(),
            passedFind: $job->find_passed_because !== null,
            workNoted: $this->unmended($job) === [],
            missingProofs: $this->owed->missingNames($job),
            notAccounted: $this->tray->open($job),
        );
    }

    /** @return list<string> codes of confirmed faults with no mend noted */
    public function unmended(Job $job): array
    {
        $mended = $job->mends->map(fn (Mend $mend): ?string => $mend->fault)->filter()->all();

        return array_values(array_diff($job->confirmed->map(fn (Confirmed $c): string => $c->fault)->all(), $mended));
    }
}
