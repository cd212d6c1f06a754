<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\SaysOfWalk;
use App\Money\Charges\ChargeQuery;
use App\Stock\Parts\Part;
use App\Stock\Shelf\AsksBeforeTaking;
use OddBench\Intake\Station;

/** A machine is mended with its owner’s word, where that was asked for, and no dearer than allowed. */
final readonly class OwnerOnWalk implements AsksBeforeTaking, SaysOfWalk
{
    public function __construct(private EstimateQuery $estimate, private ChargeQuery $charge)
    {
    }

    public function ofWalk(JobState $state): array
    {
        // what is mended, or is not going to be, is not held up
        if (! $state->job->asked || $state->job->find_passed_because !== null
            || in_array($state->job->station, [Station::Proof, Station::Release], true)) {
            return ['notAgreed' => []];
        }
        $against = EstimatesOfJob::of($state)->approval()->against($this->estimate->expected($state) ?? 0);

        return ['notAgreed' => $against === null ? [] : [$against]];
    }

    public function asks(Job $job, Part $part, int $quantity): ?string
    {
        if (! $job->asked) {
            return null;
        }
        $state = JobState::of($job);

        return EstimatesOfJob::of($state)->approval()->asksAt($this->charge->with($state, $part, $quantity));
    }
}
