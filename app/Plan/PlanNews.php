<?php

declare(strict_types=1);

namespace App\Plan;

use Illuminate\Support\Facades\DB;

/** Something happened that the plan must know: a new one is made. */
final class PlanNews
{
    public static function note(string $because, ?int $job = null): void
    {
        DB::table('plan_news')->insert(['job_id' => $job, 'because' => mb_substr($because, 0, 200), 'at' => now()]);
    }
}
