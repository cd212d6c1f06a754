<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Diagnosis\Ranking\ShowDiagnosis;
use App\Intake\JobStates;
use App\Safety\RedTagView;
use App\Safety\SafetyOfJob;
use App\Shop\Here;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Answers a write of Find from the state it left: nothing is read or judged twice. */
final readonly class ShowFind
{
    public function __construct(private Knowledge $knowledge, private JobStates $states, private ShowDiagnosis $show)
    {
    }

    public function of(int $job, bool $swapFirst): FindView
    {
        $state = $this->states->of($job);
        $tag = SafetyOfJob::of($state)->redTag;
        $findings = FoundInJob::of($state)->findings();
        Person::name($findings->all());
        try {
            $diagnosis = $this->show->of($state, $swapFirst);
        } catch (InputError) {
            $diagnosis = null;
        }

        return new FindView(
            $state->job->id,
            $state->job->version,
            array_values($findings->map(fn (JobFinding $f): FindingView => FindingView::of($f, $this->knowledge))->all()),
            $tag === null ? null : RedTagView::of($tag),
            Here::person()->name,
            $diagnosis,
        );
    }
}
