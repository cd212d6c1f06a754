<?php

declare(strict_types=1);

namespace App\Plan\Making;

use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A new plan, on the queue: no request waits for it. One that waits stands for all that was heard until it begins. */
final class PlanAnew implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $uniqueFor = 60;

    public function handle(MakePlan $make): void
    {
        $make->make();
    }
}
