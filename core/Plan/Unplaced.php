<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A step that is not in the plan, nor what comes after it, and why. */
final readonly class Unplaced
{
    public function __construct(public string $job, public int $step, public string $because)
    {
    }
}
