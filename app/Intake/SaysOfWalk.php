<?php

declare(strict_types=1);

namespace App\Intake;

/** What a room knows that decides where a job may go. Each fact of the walk is said by exactly one room. */
interface SaysOfWalk
{
    public const TAG = 'says-of-walk';

    /**
     * @return array{
     *     safetyAnswered?: bool, redTag?: bool, confirmed?: int, workNoted?: bool,
     *     missingProofs?: list<string>, notAccounted?: list<string>, notAgreed?: list<string>
     * }
     */
    public function ofWalk(JobState $state): array;
}
