<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\ShopDay;
use OddBench\Release\RepairWarranty;

/** The same fault back within the warranty of its repair. */
final readonly class Comebacks
{
    public function __construct(private ShopDay $day)
    {
    }

    /** The job whose mend of this fault is still stood for; nothing when there is none. */
    public function of(Machine $machine, string $fault): ?Job
    {
        $today = $this->day->today();
        $jobs = Job::query()->with('release')->where('machine_id', $machine->id)
            ->whereHas('release', static fn ($q) => $q->where('warranty_until', '>=', $today))
            ->whereHas('confirmed', static fn ($q) => $q->where('fault', $fault))
            ->whereHas('mends', static fn ($q) => $q->where('fault', $fault))
            ->orderByDesc('id')->get();

        /** @var Job $job */
        foreach ($jobs as $job) {
            if (self::warranty($job->release)?->covers($today, $machine->hoursRun()) === true) {
                return $job;
            }
        }

        return null;
    }

    public static function warranty(?Release $release): ?RepairWarranty
    {
        return $release?->warranty_until === null ? null : new RepairWarranty($release->warranty_until->toDateString(), $release->warranty_hours === null ? null : (float) $release->warranty_hours);
    }
}
