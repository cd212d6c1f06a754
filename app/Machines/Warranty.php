<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use App\Shop\ShopDay;
use OddBench\Input\InputError;

/** A machine under its maker’s or seller’s warranty is not opened before somebody chose: claim, or mend and accept the risk. */
final readonly class Warranty
{
    public function __construct(private JobRecord $record)
    {
    }

    /** @param  'maker'|'seller'|null  $by  nothing when there is none */
    public function note(Machine $machine, ?string $by, ?string $until, ?string $note): void
    {
        if (($by === null) !== ($until === null)) {
            throw InputError::at($by === null ? 'by' : 'until', 'A warranty has a day it ends and somebody who gives it: maker or seller.');
        }
        $machine->update(['warranty_by' => $by, 'warranty_until' => $until, 'warranty_note' => $note]);
    }

    /** @param  'claim'|'mend'  $choice */
    public function choose(Job $job, string $choice, ?string $note, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($choice, $note): Said {
            $job->warranty_choice = $choice;
            if ($choice === 'claim') {
                $job->waits_for = 'claim';
                $job->waits_note = mb_substr($note ?? 'Warranty claim', 0, 200);
                $job->waits_until = null;
            }

            return new Said('warranty', ($choice === 'claim' ? 'Warranty: claimed, not opened' : 'Warranty: mended here, its loss accepted').($note === null ? '' : ". {$note}"));
        });
    }

    public static function runs(Machine $machine): bool
    {
        return $machine->warranty_until !== null && $machine->warranty_until->toDateString() >= app(ShopDay::class)->today();
    }

    /** @throws Refused */
    public static function decidedBeforeOpening(Job $job): void
    {
        if (! self::runs($job->machine) || $job->warranty_choice === 'mend') {
            return;
        }
        $until = $job->machine->warranty_until?->format('j M Y');
        throw Refused::because('warranty', $job->warranty_choice === 'claim'
            ? "This machine is claimed under its {$job->machine->warranty_by}’s warranty: it stays closed. Choose “mend and accept the risk” to open it."
            : "This machine is under its {$job->machine->warranty_by}’s warranty until {$until}. Choose first: claim, or mend and accept the risk.");
    }
}
