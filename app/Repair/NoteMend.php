<?php

declare(strict_types=1);

namespace App\Repair;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mend as WayToMend;

/** Notes what was done, and what was touched by it. */
final readonly class NoteMend
{
    public function __construct(private Knowledge $knowledge, private JobRecord $record)
    {
    }

    /**
     * @param  string|null  $fault  the fault it mends; null for other work
     * @param  string|null  $way  the school it was mended by; null for the usual one
     * @param  list<string>  $touched  subsystems besides those the mend always touches
     *
     * @throws InputError for an unknown fault or subsystem
     * @throws Refused when the job does not stand at Fix
     */
    public function note(Job $job, ?string $fault, ?string $way, string $done, array $touched, Person $by): Job
    {
        $known = $fault === null ? null : $this->knowledge->fault($fault);
        foreach ($touched as $i => $subsystem) {
            if (! isset($this->knowledge->subsystems[$subsystem])) {
                throw InputError::unknown("touched.{$i}", 'subsystem', $subsystem, array_keys($this->knowledge->subsystems));
            }
        }
        $all = array_values(array_unique([...($known === null ? [] : $this->way($known, $way)->touches), ...$touched]));
        if ($all === []) {
            throw InputError::at('touched', 'Say what was touched: it decides what must be proved.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($known, $way, $done, $all, $by): Said {
            $this->put($job, $known, $way, $done, $all, $by);

            return new Said('mended', ($known === null ? 'Done: ' : "Mended {$known->name}: ").$done);
        }, at: OnlyAt::the('work is noted', Station::Repair));
    }

    /**
     * Inside a running write.
     *
     * @param  list<string>  $touched  subsystems, all of them
     */
    public function put(Job $job, ?Fault $fault, ?string $way, string $done, array $touched, Person $by): void
    {
        Mend::query()->create([
            'job_id' => $job->id,
            'fault' => $fault?->code,
            'way' => $way,
            'done' => $done,
            'touched' => $touched,
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }

    private function way(Fault $fault, ?string $school): WayToMend
    {
        foreach ($fault->mends as $mend) {
            if ($school === null || $mend->school === $school) {
                return $mend;
            }
        }
        $known = implode(', ', array_filter(array_map(static fn (WayToMend $m): ?string => $m->school, $fault->mends)));
        throw InputError::at(
            'way',
            "“{$school}” is no way of mending this here".($known === '' ? ': there is one way only.' : ". Known: {$known}."),
        );
    }
}
