<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Intake\JobPart;
use App\Intake\JobState;
use App\Machines\Fitting;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;

/** What a job is to change before it fails, and what of it was changed. */
final readonly class PlannedOfJob implements JobPart
{
    /**
     * @param  Collection<int, PlannedChange>  $all
     * @param  list<string>  $done  positions something was fitted to in the job
     */
    private function __construct(public Collection $all, public array $done)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Jobs $jobs): array
    {
        $planned = PlannedChange::query()->whereIn('job_id', $jobs->pluck('id'))->orderBy('position')->get()->groupBy('job_id');
        $fitted = $planned->isEmpty() ? new Jobs : Fitting::query()->whereIn('job_id', $planned->keys())
            ->whereNotNull('movement_id')
            ->get(['job_id', 'position'])
            ->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self(
                $planned->get($job->id) ?? new Collection,
                array_values(($fitted->get($job->id) ?? new Jobs)->map(static fn (Fitting $f): string => $f->position)->all()),
            );
        }

        return $parts;
    }

    /** @return Collection<int, PlannedChange> */
    public function open(): Collection
    {
        return $this->all->reject(fn (PlannedChange $c): bool => in_array($c->position, $this->done, true));
    }

    /** @return array<string, int> class of part => how many are to be changed, with those that were by now */
    public function classes(): array
    {
        return $this->all->countBy(static fn (PlannedChange $c): string => $c->part_class)->all();
    }
}
