<?php

declare(strict_types=1);

namespace App\Release;

use App\Diagnosis\Faults\Confirmed;
use App\Diagnosis\Faults\KnowsComebacks;
use App\Intake\Job;
use App\Machines\Machine;
use App\Repair\Mend;
use App\Shop\ShopDay;
use OddBench\Release\RepairWarranty;

/** The same fault back within the warranty of its repair. */
final readonly class Comebacks implements KnowsComebacks
{
    public function __construct(private ShopDay $day)
    {
    }

    public function of(Machine $machine, string $fault): ?Job
    {
        $today = $this->day->today();
        $releases = Release::query()->with('job')->where('warranty_until', '>=', $today)
            ->whereIn('job_id', Job::query()->select('id')->where('machine_id', $machine->id))
            ->whereIn('job_id', Confirmed::query()->select('job_id')->where('fault', $fault)->whereNull('superseded_at'))
            ->whereIn('job_id', Mend::query()->select('job_id')->where('fault', $fault))
            ->orderByDesc('job_id')->get();

        return $releases->first(static fn (Release $r): bool => self::warranty($r)?->covers($today, $machine->hoursRun()) === true)?->job;
    }

    public static function warranty(?Release $release): ?RepairWarranty
    {
        return $release?->warranty_until === null ? null : new RepairWarranty(
            $release->warranty_until->toDateString(),
            $release->warranty_hours === null ? null : (float) $release->warranty_hours,
        );
    }
}
