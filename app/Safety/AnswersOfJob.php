<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\JobPart;
use App\Intake\JobState;
use Illuminate\Support\Collection;

/** What was answered to the safety questions of a job. */
final readonly class AnswersOfJob implements JobPart
{
    /** @param  array<string, bool|null>  $answers  question => yes, null for not checked */
    private function __construct(public array $answers)
    {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    public static function read(Collection $jobs): array
    {
        $answers = SafetyAnswer::query()->whereIn('job_id', $jobs->pluck('id'))->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $given = [];
            foreach ($answers->get($job->id) ?? [] as $answer) {
                $given[$answer->question] = $answer->yes;
            }
            $parts[$job->id] = new self($given);
        }

        return $parts;
    }
}
