<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\Job;
use App\Intake\JobView;
use App\Intake\ShowJob;
use App\Proof\Run\CountRun;
use App\Proof\Run\ProofRun;
use App\Shop\Ability;
use App\Shop\Here;
use App\Shop\Tablets\Signer;
use Illuminate\Support\Facades\Gate;

final readonly class ProofController
{
    public function __construct(private ShowJob $show, private Signer $signer)
    {
    }

    public function waive(int $job, WaiveProofRequest $request, RecordProof $record): JobView
    {
        $record->waive(
            Job::query()->findOrFail($job),
            $request->string('proof')->toString(),
            $request->string('because')->trim()->toString(),
            $this->signer->signs(Ability::Countersign, $request),
        );

        return $this->show->of($job);
    }

    public function record(int $job, RecordProofRequest $request, RecordProof $record, CountRun $count): JobView
    {
        Gate::authorize(Ability::Work);
        $record->record(
            Job::query()->findOrFail($job),
            $request->string('proof')->toString(),
            $request->numberOrNull('value'),
            $request->filled('passed') ? $request->boolean('passed') : null,
            Here::person(),
            $request->evidence(),
        );
        $run = ProofRun::query()->with(['job', 'person'])->where('job_id', $job)->orderByDesc('id')->first();
        if ($run !== null) {
            $count->of($run);
        }

        return $this->show->of($job);
    }
}
