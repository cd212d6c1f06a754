<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** One fault that can be there, how sure that is and why. */
final readonly class Suspect
{
    /**
     * @param  float  $probability  given all findings
     * @param  float  $start  before anything was looked at
     * @param  list<string>  $explains  present findings it can cause
     * @param  array<string, float>  $for  finding => factor on its odds, above 1
     * @param  array<string, float>  $against  finding => factor on its odds, below 1
     * @param  array<string, float>  $behind  fault => its probability
     * @param  array<string, float>  $brings  fault => its probability
     */
    public function __construct(
        public string $code,
        public float $probability,
        public float $start,
        public array $explains,
        public array $for,
        public array $against,
        public array $behind,
        public array $brings,
    ) {
    }
}
