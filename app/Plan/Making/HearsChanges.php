<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Intake\HearsJob;
use App\Intake\Job;
use Illuminate\Support\Facades\DB;

/** What a job waits for is noted with its time, whenever that changes. That it changed at all the plan sees by its version. */
final class HearsChanges implements HearsJob
{
    private const NOTE = <<<'SQL'
        WITH over AS (UPDATE job_waits SET ended_at = ? WHERE job_id = ? AND ended_at IS NULL AND cause <> ? RETURNING id)
        INSERT INTO job_waits (job_id, cause, began_at)
        SELECT ?, ?, ? FROM (SELECT count(*) FROM over) o
        WHERE ?::boolean AND NOT EXISTS (SELECT 1 FROM job_waits WHERE job_id = ? AND ended_at IS NULL AND cause = ?)
        SQL;

    public function changed(Job $job): void
    {
        if (! $job->wasRecentlyCreated && ! $job->wasChanged(['waits_for', 'finished_at'])) {
            return;
        }
        $now = now()->toIso8601String();
        $cause = $job->isOpen() ? $job->waits_for ?? 'hands' : '';
        DB::statement(self::NOTE, [
            $now, $job->id, $cause, $job->id, $cause, $now, $job->isOpen() ? 'true' : 'false', $job->id, $cause,
        ]);
    }
}
