<?php

declare(strict_types=1);

namespace App\Diagnosis;

use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Counts the shop’s faults anew after a job is finished. */
final class RecountFaults implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $uniqueFor = 60;

    public function handle(FaultCounts $counts): void
    {
        $counts->recount();
    }
}
