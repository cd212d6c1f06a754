<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Knowledge\Knowledge;

/** Takes back a finding that was wrong; it stays in the record as withdrawn. */
final readonly class WithdrawFinding
{
    public function __construct(private JobRecord $record, private Knowledge $knowledge)
    {
    }

    public function withdraw(Job $job, JobFinding $finding, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($finding, $by): Said {
            $changed = JobFinding::query()->where(['id' => $finding->id, 'job_id' => $job->id])
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
            if ($changed === 0) {
                throw Refused::because('finding', 'This finding was withdrawn already.');
            }
            $name = $this->knowledge->findings[$finding->code]->name ?? $finding->code;

            return new Said('withdrawn', "Withdrawn: {$name}");
        });
    }
}
