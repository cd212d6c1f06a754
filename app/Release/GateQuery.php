<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use App\Intake\WalkQuery;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Release\Gate;

/** Reads what decides whether a machine may leave. */
final readonly class GateQuery
{
    public function __construct(private WalkQuery $walk, private Knowledge $knowledge)
    {
    }

    public function of(Job $job): Gate
    {
        $walk = $this->walk->of($job);

        return new Gate(
            redTag: $walk->redTag,
            missingProofs: $walk->missingProofs,
            openFaults: array_map(fn (string $fault): string => $this->knowledge->faults[$fault]->name ?? $fault, $this->walk->unmended($job)),
            safetyAnswered: $walk->safetyAnswered,
            atSendOut: $job->station === Station::Release,
        );
    }
}
