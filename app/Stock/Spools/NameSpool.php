<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Knowledge\Knowledge;

/** The print that went wrong came from this spool: what it is like is a circumstance of the job. */
final readonly class NameSpool
{
    public function __construct(
        private SpoolCondition $condition,
        private Knowledge $knowledge,
        private JobRecord $record,
        private Findings $findings,
    ) {
    }

    public function name(Spool $spool, Job $job, Person $by): void
    {
        $this->record->write($job, $by, null, function (Job $job) use ($spool, $by): Said {
            $job->spool_id = $spool->id;
            $said = [];
            foreach (array_diff_key(
                $this->condition->of($spool)->findings,
                array_flip($this->findings->known($job)),
            ) as $code => $because) {
                $this->findings->put($job, $code, true, 'seen', "spool {$spool->code}: {$because}", $by);
                $said[] = $this->knowledge->finding($code)->name." (spool {$spool->code}: {$because})";
            }
            SpoolEvent::query()->create([
                'spool_id' => $spool->id,
                'kind' => 'job',
                'grams' => $spool->left_g,
                'job_id' => $job->id,
                'person_id' => $by->id,
                'at' => now(),
            ]);

            return new Said('finding', $said === [] ? "The print came from spool {$spool->code}" : implode(', ', $said));
        });
    }
}
