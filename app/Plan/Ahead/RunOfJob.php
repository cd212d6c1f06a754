<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\JobPart;
use App\Intake\JobState;
use App\Proof\Run\ProofRun;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Heat;
use OddBench\Plan\Running;

/** The proof run that is on with a job’s printer. */
final readonly class RunOfJob implements JobPart
{
    private function __construct(private ?ProofRun $run)
    {
    }

    /** With its power on it is taken for hot. */
    public static function of(JobState $state): ?Running
    {
        $run = $state->part(self::class)->run;

        return $run === null
            ? null
            : new Running('Proofs on the printer', max(1, (int) ceil($run->remainingS() / 60)), Heat::Hot);
    }

    /** @return list<string> codes of the proofs that it will show */
    public static function shows(JobState $state): array
    {
        $codes = [];
        foreach ($state->part(self::class)->run?->left() ?? [] as $stage) {
            $codes = [...$codes, ...$stage->proofs()];
        }

        return $codes;
    }

    public static function read(Collection $jobs): array
    {
        $runs = ProofRun::query()->whereIn('job_id', $jobs->pluck('id'))->whereIn('state', ProofRun::ON)->orderBy('id')->get()
            ->keyBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self($runs->get($job->id));
        }

        return $parts;
    }
}
