<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class ProofController
{
    public function __construct(private ShowJob $show)
    {
    }

    public function record(int $job, RecordProofRequest $request, RecordProof $record): JobView
    {
        Gate::authorize('work', Job::class);
        $record->record(Job::query()->findOrFail($job), $request->string('proof')->toString(), $request->numberOrNull('value'), $request->filled('passed') ? $request->boolean('passed') : null, Here::person());

        return $this->show->of($job);
    }
}
