<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\Refused;
use App\Intake\Findings;
use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Collection;
use OddBench\Knowledge\Finding;
use OddBench\Knowledge\Knowledge;

/** Puts findings down inside a running write: what is known is not put down twice, and what cannot both be is refused. */
final readonly class PutFinding implements Findings
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function put(Job $job, string $code, bool $present, string $source, ?string $value, Person $by): void
    {
        $standing = $this->standing($job);
        $known = $standing->firstWhere('code', $code);
        if ($known !== null && $known->present === $present) {
            return;
        }
        if ($known !== null && ! str_starts_with($source, 'proof:') && $source !== 'told') {
            $name = $this->knowledge->findings[$code]->name;
            throw Refused::because(
                "findings.{$code}",
                "“{$name}” is down already as ".($known->present ? 'found' : 'not found')
                    .'. Withdraw that first, so that the record says which was right.',
            );
        }
        if ($present) {
            $this->refuseContradiction($standing, $code);
        }
        $known?->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
        FoundInJob::carry($job)->add(JobFinding::query()->create([
            'job_id' => $job->id,
            'code' => $code,
            'present' => $present,
            'source' => $source,
            'value' => $value,
            'person_id' => $by->id,
            'at' => now(),
        ]));
    }

    public function measured(Job $job, string $code, bool $present, string $source, ?string $value, Person $by): void
    {
        foreach ($this->standing($job)->where('code', $code)->where('present', ! $present) as $older) {
            $older->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
        }
        $this->put($job, $code, $present, $source, $value, $by);
    }

    public function known(Job $job): array
    {
        return array_values($this->standing($job)->map(static fn (JobFinding $f): string => $f->code)->all());
    }

    /** @return Collection<int, JobFinding> */
    private function standing(Job $job): Collection
    {
        return FoundInJob::carry($job)->whereNull('withdrawn_at');
    }

    /** @param  Collection<int, JobFinding>  $standing */
    private function refuseContradiction(Collection $standing, string $code): void
    {
        $new = $this->knowledge->findings[$code];
        $other = $standing->first(fn (JobFinding $f): bool => $f->present && (in_array($f->code, $new->neverWith, true) || in_array(
            $code,
            $this->neverWith($f->code),
            true,
        )));
        if ($other !== null) {
            throw Refused::because(
                "findings.{$code}",
                "“{$new->name}” and “{$this->knowledge->findings[$other->code]->name}” cannot both be. Measure again and withdraw the wrong one.",
            );
        }
    }

    /** @return list<string> */
    private function neverWith(string $code): array
    {
        /** @var Finding|null $known */
        $known = $this->knowledge->findings[$code] ?? null;

        return $known->neverWith ?? [];
    }
}
