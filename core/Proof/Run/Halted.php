<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use RuntimeException;

/** The printer stopped itself, or started anew, in the middle of a stage. */
final class Halted extends RuntimeException
{
    public function __construct(public readonly string $said, public readonly bool $restarted)
    {
        parent::__construct($said);
    }
}
