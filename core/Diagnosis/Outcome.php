<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** One answer a step can give, how likely it is and what would be believed then. */
final readonly class Outcome
{
    /**
     * @param  string  $answer  “present”, “absent”, a finding’s code, “none” or “several”
     * @param  array<string, bool>  $findings  what the answer says, finding code => present
     * @param  array<int, float>  $beliefs  by fault
     */
    public function __construct(public string $answer, public array $findings, public float $probability, public array $beliefs)
    {
    }
}
