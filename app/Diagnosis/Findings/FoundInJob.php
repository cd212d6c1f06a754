<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Diagnosis\Faults\Confirmed;
use App\Intake\Job;
use App\Intake\JobState;
use Illuminate\Database\Eloquent\Collection;
use WeakMap;

/** What was found in a job and what was made of it, withdrawn and superseded ones among them. */
final readonly class FoundInJob
{
    /**
     * @param  Collection<int, JobFinding>  $everFound
     * @param  Collection<int, Confirmed>  $diagnoses
     */
    private function __construct(public Collection $everFound, public Collection $diagnoses)
    {
    }

    public static function of(JobState $state): self
    {
        // two parts, for a write to one of them leaves the other as it was read
        return new self($state->part(EverFound::class)->findings, $state->part(EverConfirmed::class)->diagnoses);
    }

    /**
     * Every finding of a job that is locked for a write, read once for as long as the write lasts: whoever adds one adds it
     * here too.
     *
     * @return Collection<int, JobFinding>
     */
    public static function carry(Job $locked): Collection
    {
        $carried = self::carriedBy($locked);
        if ($carried === null) {
            $carried = JobFinding::query()->where('job_id', $locked->id)->orderBy('id')->get();
            self::carried()[$locked] = [$locked->version, $carried];
        }

        return $carried;
    }

    /** @return Collection<int, JobFinding>|null */
    public static function carriedBy(Job $job): ?Collection
    {
        [$version, $carried] = self::carried()[$job] ?? [null, null];

        // a write raises the version by one; what was carried through it is of no later one
        return $version !== null && $job->version - $version <= 1 ? $carried : null;
    }

    /** @return WeakMap<Job, array{int, Collection<int, JobFinding>}> */
    private static function carried(): WeakMap
    {
        /** @var WeakMap<Job, array{int, Collection<int, JobFinding>}>|null $carried */
        static $carried = null;

        return $carried ??= new WeakMap;
    }

    /** @return Collection<int, JobFinding> those that stand */
    public function findings(): Collection
    {
        return $this->everFound->whereNull('withdrawn_at');
    }

    /** @return Collection<int, Confirmed> those that stand */
    public function confirmed(): Collection
    {
        return $this->diagnoses->whereNull('superseded_at');
    }

    /** @return list<string> codes of confirmed faults */
    public function faults(): array
    {
        return array_values($this->confirmed()->map(static fn (Confirmed $c): string => $c->fault)->all());
    }

    /** @return list<string> faults that were confirmed and then overturned */
    public function overturned(): array
    {
        return array_values($this->diagnoses->whereNotNull('superseded_at')->map(static fn (Confirmed $c): string => $c->fault)->all());
    }
}
