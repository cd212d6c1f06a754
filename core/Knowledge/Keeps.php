<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** The one result of an instrument that is kept and compared, and where on a machine it can belong. */
final readonly class Keeps
{
    /** @param  list<string>  $parts  classes of part it is measured at; none for the machine as a whole */
    public function __construct(public string $key, public string $unit, public array $parts)
    {
    }
}
