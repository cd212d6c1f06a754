<?php

declare(strict_types=1);

namespace App\Intake;

/** Knows what is to be done next on a job. Asked when the job changes; kept with the job for whoever only reads. */
interface SaysNextStep
{
    /** @return array{string, int|null} words, minutes of hands */
    public function of(JobState $state): array;
}
