<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Diagnosis\Findings\FoundInJob;
use App\Intake\JobState;
use App\Intake\SaysOfWalk;

/** A job passes Find with at least one fault confirmed. */
final readonly class DiagnosisOnWalk implements SaysOfWalk
{
    public function ofWalk(JobState $state): array
    {
        return ['confirmed' => count(FoundInJob::of($state)->faults())];
    }
}
