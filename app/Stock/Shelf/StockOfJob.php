<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use App\Stock\Spools\Spool;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;

/** What a job took off the shelf and put back, and the spool its print came from. */
final readonly class StockOfJob implements JobPart
{
    /** @param  Collection<int, Movement>  $movements */
    private function __construct(public Collection $movements, public ?Spool $spool)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Jobs $jobs): array
    {
        $movements = Movement::query()->with('part')->whereIn('job_id', $jobs->pluck('id'))->orderBy('id')->get()->groupBy('job_id');
        $named = $jobs->map(static fn (Job $job): ?int => $job->spool_id)->filter();
        $spools = $named->isEmpty() ? new Collection : Spool::query()->findMany($named->all())->keyBy('id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self($movements->get($job->id) ?? new Collection, $spools->get($job->spool_id ?? 0));
        }

        return $parts;
    }

    /** @return Collection<int, Movement> parts that were used and stayed used */
    public function used(): Collection
    {
        $undone = $this->movements->pluck('undoes_id')->filter()->all();

        return $this->movements->filter(static fn (Movement $m): bool => $m->kind === 'used' && ! in_array($m->id, $undone, true));
    }

    /** @return Collection<int, Movement> of those, what sits in a position now */
    public function fitted(): Collection
    {
        return $this->used()->filter(static fn (Movement $m): bool => $m->position !== null);
    }
}
