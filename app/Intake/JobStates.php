<?php

declare(strict_types=1);

namespace App\Intake;

/**
 * The state a write left a job in, kept until the answer of the same request is made of it, so that nothing is read
 * or judged twice. One of these lives as long as a request.
 */
final class JobStates
{
    /** @var array<int, JobState> */
    private array $left = [];

    public function leave(JobState $state): void
    {
        $this->left = [$state->job->id => $state];
    }

    /** The state a write has just left, or a fresh one. */
    public function of(int $id): JobState
    {
        $left = $this->left[$id] ?? null;
        $this->left = [];
        $fresh = Job::query()->findOrFail($id);

        return $left !== null && $left->job->version === $fresh->version ? $left : JobState::of($fresh);
    }
}
