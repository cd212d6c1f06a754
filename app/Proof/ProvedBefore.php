<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\JobState;
use App\Intake\PartOfOthers;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** When the machine of a job last passed each proof in another visit. */
final readonly class ProvedBefore implements PartOfOthers
{
    /** @param  array<string, string>  $passed  proof => when, as the database says it */
    private function __construct(private array $passed)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Collection $jobs): array
    {
        $passed = ProofResult::query()->from('proof_results AS r')
            ->join('jobs AS o', 'o.id', '=', 'r.job_id')
            ->join('jobs AS j', static fn (JoinClause $on) => $on->on('j.machine_id', '=', 'o.machine_id')->on('j.id', '<>', 'o.id'))
            ->whereIn('j.id', $jobs->pluck('id'))
            ->where('r.passed', true)
            ->groupBy('j.id', 'r.proof')->selectRaw('j.id AS job_id, r.proof, max(r.at) AS at')->toBase()->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            /** @var array<string, string> $of */
            $of = $passed->get($job->id)?->pluck('at', 'proof')->all() ?? [];
            $parts[$job->id] = new self($of);
        }

        return $parts;
    }

    public function at(string $proof): ?Carbon
    {
        return isset($this->passed[$proof]) ? Carbon::parse($this->passed[$proof]) : null;
    }

    /** @return list<string> codes */
    public function proofs(): array
    {
        return array_keys($this->passed);
    }
}
