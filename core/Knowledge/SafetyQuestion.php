<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A question of Make safe; a yes puts the red tag on and is the finding named. */
final readonly class SafetyQuestion
{
    public function __construct(public string $code, public string $ask, public string $finding)
    {
    }
}
