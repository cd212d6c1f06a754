<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Http\Request;

/**
 * The state a write left a job in, kept until the answer of the same request is made of it, so that nothing is read
 * or judged twice. One of these lives as long as a request.
 */
final class JobStates
{
    private ?JobState $left = null;

    private ?Request $in = null;

    public function leave(JobState $state): void
    {
        $this->left = $state;
        $this->in = app(Request::class);
    }

    /** The state a write of this request has just left, or a fresh one. */
    public function of(int $id): JobState
    {
        $left = $this->in === app(Request::class) && $this->left?->job->id === $id ? $this->left : null;
        $this->left = $this->in = null;

        return $left ?? JobState::of(Job::query()->findOrFail($id));
    }
}
