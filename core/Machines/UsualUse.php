<?php

declare(strict_types=1);

namespace OddBench\Machines;

/** How much the machines of a shop run: what is assumed of one whose own counters do not tell. */
final readonly class UsualUse
{
    /**
     * @param  float  $hoursPerWeek  of a machine, 0 to 168
     * @param  float  $spread  how far a machine’s weeks lie around that, as a standard deviation in hours, 0 and up
     */
    public function __construct(public float $hoursPerWeek, public float $spread)
    {
    }
}
