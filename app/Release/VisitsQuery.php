<?php

declare(strict_types=1);

namespace App\Release;

use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\ShopDay;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Destination;

/** The visits of a machine, the newest first: what was found, how each ended, and whether the shop still stands for it. */
final readonly class VisitsQuery
{
    private const MOST = 50;

    public function __construct(private Knowledge $knowledge, private ShopDay $day)
    {
    }

    /** @return list<PastJobView> */
    public function of(Machine $machine): array
    {
        $jobs = Job::query()->where('machine_id', $machine->id)->orderByDesc('id')->limit(self::MOST)->get();
        $releases = Release::query()->whereIn('job_id', $jobs->pluck('id'))->get()->keyBy('job_id');
        $confirmed = Confirmed::query()->whereIn('job_id', $jobs->pluck('id'))
            ->whereNull('superseded_at')
            ->orderBy('id')
            ->get()
            ->groupBy('job_id');
        $today = $this->day->today();

        return array_values($jobs->map(fn (Job $job): PastJobView => $this->visit(
            $job,
            $machine,
            $releases->get($job->id),
            $confirmed->get($job->id) ?? new Collection,
            $today,
        ))->all());
    }

    /** @param  Collection<int, Confirmed>  $confirmed */
    private function visit(Job $job, Machine $machine, ?Release $release, Collection $confirmed, string $today): PastJobView
    {
        $runs = Comebacks::warranty($release)?->covers($today, $machine->hoursRun()) ?? false;

        return new PastJobView(
            $job->id,
            $job->kind->value,
            $job->complaint,
            $job->opened_at->toIso8601String(),
            $job->finished_at?->toIso8601String(),
            $job->hours === null ? null : (float) $job->hours,
            array_values($confirmed->map(fn (Confirmed $c): string => $this->knowledge->faultName($c->fault))->all()),
            $release === null ? null : Destination::from($release->destination)->words(),
            $release?->sheet !== null,
            $runs ? $release?->warranty_until?->toDateString() : null,
            $release?->warranty_hours === null ? null : (float) $release->warranty_hours,
            $confirmed->contains(static fn (Confirmed $c): bool => $c->comeback_of !== null),
        );
    }
}
