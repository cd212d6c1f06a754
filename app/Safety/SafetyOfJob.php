<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use Illuminate\Support\Collection;

/** How safe a job’s machine is known to be: the answers that were given, and the red tag it wears. */
final readonly class SafetyOfJob implements JobPart
{
    /** @param  array<string, bool|null>  $answers  question => yes, null for not checked */
    public function __construct(public array $answers, public ?RedTag $redTag)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Collection $jobs): array
    {
        $answers = SafetyAnswer::query()->whereIn('job_id', $jobs->pluck('id'))->orderBy('id')->get()->groupBy('job_id');
        $tags = RedTag::worn($jobs->map(static fn (Job $job): int => $job->machine_id));
        $parts = [];
        foreach ($jobs as $job) {
            $given = [];
            foreach ($answers->get($job->id) ?? [] as $answer) {
                $given[$answer->question] = $answer->yes;
            }
            $parts[$job->id] = new self($given, $tags[$job->machine_id] ?? null);
        }

        return $parts;
    }

    /** The powered check a lead signed for under the red tag, while it is not done. */
    public function signedTest(): ?string
    {
        $test = $this->redTag?->supervisedTest;

        return $test === null || $test->done_at !== null ? null : $test->test;
    }
}
