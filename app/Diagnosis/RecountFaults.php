<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Diagnosis\Faults\FaultCounts;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * Counts the shop’s faults anew after a job is finished. It stands in the queue’s table from the same transaction on that finishes
 * the job, so neither is there without the other; when several wait, the last one counts for all.
 */
final class RecountFaults implements ShouldQueue
{
    use Queueable;

    public function handle(FaultCounts $counts): void
    {
        if (DB::table('queued_jobs')->whereNull('reserved_at')->where('payload', 'like', '%RecountFaults%')->doesntExist()) {
            $counts->recount();
        }
    }
}
