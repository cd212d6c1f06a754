<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** What a temperature log shows of its heater: every temperature that was asked for, and the worst of them. */
final readonly class ThermalJudged
{
    /**
     * @param  non-empty-list<HeatStep>  $steps
     * @param  'ok'|'watch'|'out'|'inconclusive'|string  $verdict
     * @param  string  $because  one sentence with its figures
     */
    public function __construct(public array $steps, public HeatStep $worst, public string $verdict, public string $because)
    {
    }
}
