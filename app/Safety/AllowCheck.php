<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\Refused;
use App\Intake\Job;
use OddBench\Knowledge\Knowledge;

/** Under a red tag nothing is powered, but for the one supervised test a lead signed for. */
final readonly class AllowCheck
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * Inside a running write.
     *
     * @return SupervisedTest|null the signed test this check uses up
     *
     * @throws Refused when the machine wears a red tag and the check needs power
     */
    public function underRedTag(Job $job, string $code): ?SupervisedTest
    {
        $check = $this->knowledge->checks[$code];
        $tag = $check->state->needsPower() ? RedTag::wornBy($job->machine_id) : null;
        if ($tag === null) {
            return null;
        }
        $test = $tag->supervisedTest;
        if ($test === null || $test->test !== $code || $test->done_at !== null) {
            throw Refused::because(
                'check',
                "The machine wears a red tag and “{$check->name}” needs power. Only the one supervised test a lead signed for may be done.",
            );
        }

        return $test;
    }
}
