<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Accessory;
use App\Intake\JobState;
use App\Intake\WalkQuery;
use App\Repair\WorkOnJob;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Gate;

/** Reads what decides whether a machine may leave. */
final readonly class GateQuery
{
    public function __construct(private WalkQuery $walk, private Knowledge $knowledge)
    {
    }

    public function of(JobState $state): Gate
    {
        $walk = $this->walk->of($state);

        return new Gate(
            redTag: $walk->redTag,
            missingProofs: $walk->missingProofs,
            openFaults: array_map(
                $this->knowledge->faultName(...),
                WorkOnJob::of($state)->unmended($state),
            ),
            safetyAnswered: $walk->safetyAnswered,
            atSendOut: $state->job->station === Station::Release,
            notBack: array_values(array_filter(
                Accessory::of($state)->map(static fn (Accessory $a): ?string => $a->judged()->isMissing())->all(),
            )),
        );
    }
}
