<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** A check that could not tell: it changes no belief and is not offered again in this job. */
final readonly class HideCheck
{
    public function __construct(private JobRecord $record, private Knowledge $knowledge)
    {
    }

    public function hide(Job $job, string $code, Person $by): Job
    {
        $check = $this->knowledge->check($code);

        return $this->record->write($job, $by, null, function (Job $job) use ($check, $by): Said {
            DB::table('hidden_checks')->insertOrIgnore([
                'job_id' => $job->id,
                'code' => $check->code,
                'person_id' => $by->id,
                'at' => now(),
            ]);

            return new Said('cannot-tell', "{$check->name}: can’t tell");
        });
    }
}
