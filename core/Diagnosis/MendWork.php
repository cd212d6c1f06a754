<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** What it takes to mend some faults together. */
final readonly class MendWork
{
    /**
     * @param  float  $minutes  of hands: the way in once, each mend, the proofs they owe together
     * @param  list<string>  $classes  of part, each once
     * @param  float  $days  the machine waits for what is not on the shelf
     */
    public function __construct(public float $minutes, public array $classes, public float $days)
    {
    }
}
