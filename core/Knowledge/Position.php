<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A place in a machine where a wear part sits. */
final readonly class Position
{
    /** @param  string  $partClass the class of part that fits; $subsystem what must be proved after it is changed */
    public function __construct(public string $code, public string $name, public string $subsystem, public string $partClass)
    {
    }
}
