<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\Job;
use OddBench\Knowledge\Knowledge;

/** Which safety questions of a job are answered, and how. */
final readonly class SafetyState
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @return array<string, bool|null> question => yes, null for not checked */
    public function answers(Job $job): array
    {
        $answers = [];
        foreach ($job->safetyAnswers as $answer) {
            $answers[$answer->question] = $answer->yes;
        }

        return $answers;
    }

    /** @return list<string> codes */
    public function unanswered(Job $job): array
    {
        return array_values(array_diff(array_keys($this->knowledge->safetyQuestions), array_keys($this->answers($job))));
    }
}
