<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** What is believed given the findings: the probability of each fault, and of the findings themselves. */
final readonly class Posterior
{
    /**
     * @param  float  $logEvidence  natural logarithm of P(findings)
     * @param  list<float>  $faults  P(fault | findings), by index
     */
    public function __construct(public float $logEvidence, public array $faults)
    {
    }
}
