<?php

declare(strict_types=1);

namespace App\Repair;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;

/** Notes what was done, and what was touched by it. */
final readonly class NoteMend
{
    public function __construct(private Knowledge $knowledge, private JobRecord $record)
    {
    }

    /**
     * @param  string|null  $fault  the fault it mends; null for other work
     * @param  list<string>  $touched  subsystems besides those the mend always touches
     *
     * @throws InputError for an unknown fault or subsystem
     * @throws Refused when the job does not stand at Fix
     */
    public function note(Job $job, ?string $fault, string $done, array $touched, Person $by): Job
    {
        $known = $fault === null ? null : $this->knowledge->fault($fault);
        foreach ($touched as $i => $subsystem) {
            if (! isset($this->knowledge->subsystems[$subsystem])) {
                throw InputError::unknown("touched.{$i}", 'subsystem', $subsystem, array_keys($this->knowledge->subsystems));
            }
        }
        $all = array_values(array_unique([...($known?->mend()->touches ?? []), ...$touched]));
        if ($all === []) {
            throw InputError::at('touched', 'Say what was touched: it decides what must be proved.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($known, $done, $all, $by): Said {
            if ($job->station !== Station::Repair) {
                throw Refused::because('station', "The job stands at {$job->station->words()}; work is noted at Fix.");
            }
            Mend::query()->create(['job_id' => $job->id, 'fault' => $known?->code, 'done' => $done, 'touched' => $all, 'person_id' => $by->id, 'at' => now()]);

            return new Said('mended', ($known === null ? 'Done: ' : "Mended {$known->name}: ").$done);
        });
    }
}
