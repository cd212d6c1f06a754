<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection as Jobs;

/** What was proved in a job, and when its machine last passed each proof in another visit. */
final readonly class ProofsOfJob implements JobPart
{
    /**
     * @param  Collection<int, ProofResult>  $results
     * @param  array<string, Carbon>  $elsewhere  proof => when it passed last in another job of the machine
     */
    private function __construct(public Collection $results, public array $elsewhere)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Jobs $jobs): array
    {
        $results = ProofResult::query()->whereIn('job_id', $jobs->pluck('id'))->orderBy('id')->get()->groupBy('job_id');
        $machines = $jobs->map(static fn (Job $job): int => $job->machine_id)->unique();
        $passed = ProofResult::query()->join('jobs', 'jobs.id', '=', 'proof_results.job_id')
            ->whereIn('jobs.machine_id', $machines)
            ->where('passed', true)
            ->groupBy('machine_id', 'job_id', 'proof')->selectRaw('machine_id, job_id, proof, max(at) AS at')->toBase()->get();
        $parts = [];
        foreach ($jobs as $job) {
            $elsewhere = [];
            foreach ($passed as $row) {
                if ((int) $row->machine_id === $job->machine_id && (int) $row->job_id !== $job->id) {
                    $at = Carbon::parse((string) $row->at);
                    $elsewhere[(string) $row->proof] = isset($elsewhere[$row->proof]) ? $elsewhere[$row->proof]->max($at) : $at;
                }
            }
            $parts[$job->id] = new self($results->get($job->id) ?? new Collection, $elsewhere);
        }

        return $parts;
    }
}
