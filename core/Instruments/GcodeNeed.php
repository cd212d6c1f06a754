<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** What a print takes. */
final readonly class GcodeNeed
{
    /**
     * @param  float  $filamentMm  pushed in all
     * @param  float  $seconds  as *gcode* estimates them
     */
    public function __construct(public float $filamentMm, public float $seconds)
    {
    }
}
