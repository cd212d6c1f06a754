<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use Illuminate\Support\Collection;

/** The red tag the machine of a job wears. */
final readonly class SafetyOfJob implements JobPart
{
    private function __construct(public ?RedTag $redTag)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Collection $jobs): array
    {
        $tags = RedTag::worn($jobs->map(static fn (Job $job): int => $job->machine_id));
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self($tags[$job->machine_id] ?? null);
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
