<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Intake\Booking;
use App\Intake\HearsBooking;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Safety\PutOnRedTag;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** What was told at the counter, as the first findings; a sign of danger puts the red tag on at once. */
final readonly class PutDownTold implements HearsBooking
{
    public function __construct(private Knowledge $knowledge, private JobRecord $record, private PutOnRedTag $redTag)
    {
    }

    /** @throws InputError for what cannot both be */
    public function booked(Job $job, Booking $booking, Person $by): void
    {
        $dangers = [];
        foreach (array_unique(array_filter([$booking->began->finding(), ...$booking->told])) as $i => $code) {
            $finding = $this->knowledge->finding($code, "told.{$i}");
            foreach ($finding->neverWith as $never) {
                if (in_array($never, $booking->told, true)) {
                    throw InputError::at(
                        "told.{$i}",
                        "“{$finding->name}” and “{$this->knowledge->findings[$never]->name}” cannot both be. Leave one out.",
                    );
                }
            }
            JobFinding::query()->create([
                'job_id' => $job->id,
                'code' => $code,
                'present' => true,
                'source' => 'told',
                'person_id' => $by->id,
                'at' => now(),
            ]);
            if ($finding->redTag) {
                $dangers[] = $finding->name;
            }
        }
        if ($dangers !== []) {
            $this->record->note($job, $by, $this->redTag->on($job, implode(', ', $dangers), $by));
        }
    }
}
