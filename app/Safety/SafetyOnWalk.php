<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\JobState;
use App\Intake\SaysOfWalk;
use OddBench\Knowledge\Knowledge;

/** A job passes Make safe with every question answered, and nothing is proved or sent out under a red tag. */
final readonly class SafetyOnWalk implements SaysOfWalk
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function ofWalk(JobState $state): array
    {
        return [
            'safetyAnswered' => array_diff(
                array_keys($this->knowledge->safetyQuestions),
                array_keys(AnswersOfJob::of($state)->answers),
            ) === [],
            'redTag' => SafetyOfJob::of($state)->redTag !== null,
        ];
    }
}
