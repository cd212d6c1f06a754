<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Machines\Warranty;
use App\Shop\Person;

/** A machine under its maker’s or seller’s warranty is not opened before somebody chose: claim, or mend and accept the risk. */
final readonly class ClaimOrMend
{
    public function __construct(private JobRecord $record, private Warranty $warranty)
    {
    }

    /** @param  'claim'|'mend'  $choice */
    public function choose(Job $job, string $choice, ?string $note, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($choice, $note): Said {
            $job->warranty_choice = $choice;
            if ($choice === 'claim') {
                $job->waitFor('claim', $note ?? 'Warranty claim');
            }

            return new Said(
                'warranty',
                ($choice === 'claim' ? 'Warranty: claimed, not opened' : 'Warranty: mended here, its loss accepted')
                    .($note === null ? '' : ". {$note}"),
            );
        });
    }

    /** @throws Refused */
    public function decidedBeforeOpening(Job $job): void
    {
        if (! $this->warranty->runs($job->machine) || $job->warranty_choice === 'mend') {
            return;
        }
        $until = $job->machine->warranty_until?->format('j M Y');
        throw Refused::because('warranty', $job->warranty_choice === 'claim'
            ? "This machine is claimed under its {$job->machine->warranty_by}’s warranty: it stays closed. Choose “mend and accept the risk” to open it."
            : "This machine is under its {$job->machine->warranty_by}’s warranty until {$until}. Choose first: claim, or mend and accept the risk.");
    }
}
