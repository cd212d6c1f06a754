<?php

declare(strict_types=1);

namespace App\Plan;

use Illuminate\Support\Facades\DB;

/** What happened that the plan must know. Of a job that says its version; all else leaves a line. */
final class PlanNews
{
    private const WAITS = <<<'SQL'
        WITH plan AS (SELECT versions FROM plans ORDER BY id DESC LIMIT 1)
        SELECT EXISTS (SELECT 1 FROM plan_news)
            OR NOT EXISTS (SELECT 1 FROM plan)
            OR EXISTS (SELECT 1 FROM jobs, plan WHERE finished_at IS NULL
                AND version IS DISTINCT FROM (plan.versions->>jobs.id::text)::int)
            OR EXISTS (SELECT 1 FROM plan, jsonb_object_keys(plan.versions) known
                WHERE NOT EXISTS (SELECT 1 FROM jobs WHERE id = known::bigint AND finished_at IS NULL)) AS waits
        SQL;

    /** Inside the running write. */
    public static function note(string $because): void
    {
        DB::table('plan_news')->insert(['because' => mb_substr($because, 0, 200), 'at' => now()]);
    }

    /** Whether there is anything the last plan does not know. */
    public static function waits(): bool
    {
        return (bool) (DB::selectOne(self::WAITS)->waits ?? true);
    }
}
