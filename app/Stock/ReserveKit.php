<?php

declare(strict_types=1);

namespace App\Stock;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Knowledge\Guide;

/** Promises a guide’s parts to a job: all that are there; what is short is said. */
final readonly class ReserveKit
{
    public function __construct(private JobRecord $record, private KitQuery $kit, private Promises $promises)
    {
    }

    public function reserve(Job $job, Guide $guide, ?string $school, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($guide, $school, $by): Said {
            $numbers = array_filter(array_map(static fn (KitLineView $l): ?string => $l->part, $this->kit->of($job, $guide, $school)));
            // under the locks of all of them, so that two jobs cannot be promised the last one
            $parts = Part::query()->whereIn('number', $numbers)->orderBy('id')->lockForUpdate()->get()->keyBy('number');
            $said = [];
            foreach ($this->kit->of($job, $guide, $school) as $line) {
                $part = $line->part === null ? null : $parts->get($line->part);
                $count = min($line->count, $line->free);
                if ($part !== null && $count > 0 && ! $line->ifNeeded) {
                    $this->promises->promise($part, $job, $count, $by);
                    $said[] = "{$count} × {$part->name}, bin {$part->bin}";
                }
            }
            if ($said === []) {
                throw Refused::because('kit', 'Nothing of this kit is free on the shelf, so nothing could be promised.');
            }

            return new Said('promised', 'Promised to this job: '.implode('; ', $said));
        });
    }

    public function release(Job $job, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job): Said {
            $this->promises->release($job);

            return new Said('promised', 'Promised parts released');
        });
    }
}
