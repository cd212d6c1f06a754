<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** A set of faults that may be all that is wrong. */
final readonly class FaultSet
{
    /**
     * @param  non-empty-list<string>  $faults  codes
     * @param  float  $probability  that these and no others of those in question are there, 0 to 1
     */
    public function __construct(public array $faults, public float $probability)
    {
    }
}
