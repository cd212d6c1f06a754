<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Intake\HearsJob;
use App\Intake\Job;
use Illuminate\Support\Facades\DB;

/** A job changed: the plan is made anew, and what the job waits for is noted with its time. */
final class HearsChanges implements HearsJob
{
    /** One question: it is asked with every write. */
    private const NOTE = <<<'SQL'
        WITH news AS (INSERT INTO plan_news (job_id, because, at) VALUES (?, '', ?)),
        over AS (UPDATE job_waits SET ended_at = ? WHERE job_id = ? AND ended_at IS NULL AND cause <> ? RETURNING id)
        INSERT INTO job_waits (job_id, cause, began_at)
        SELECT ?, ?, ? FROM (SELECT count(*) FROM over) o
        WHERE ?::boolean AND NOT EXISTS (SELECT 1 FROM job_waits WHERE job_id = ? AND ended_at IS NULL AND cause = ?)
        SQL;

    public function changed(Job $job): void
    {
        $now = now()->toIso8601String();
        $cause = $job->isOpen() ? $job->waits_for ?? 'hands' : '';
        DB::statement(self::NOTE, [
            $job->id, $now, $now, $job->id, $cause, $job->id, $cause, $now, $job->isOpen() ? 'true' : 'false', $job->id, $cause,
        ]);
    }
}
