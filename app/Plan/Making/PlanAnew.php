<?php

declare(strict_types=1);

namespace App\Plan\Making;

use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;

/** A new plan, on the queue: no request waits for it. One that waits stands for all that was heard until it begins. */
final class PlanAnew implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $uniqueFor = 60;

    /** So long no other is tried after one that broke, so that a fault that stays does not fill queue and log. */
    private const REST_SECONDS = 300;

    private const BROKE = 'a plan broke';

    public function handle(MakePlan $make): void
    {
        $make->make();
    }

    public function failed(): void
    {
        Cache::put(self::BROKE, true, self::REST_SECONDS);
    }

    public static function rests(): bool
    {
        return Cache::has(self::BROKE);
    }
}
