<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** How hot a heater of this machine may get, whatever is asked of it, °C; by its family and the material it runs. */
final readonly class Limits
{
    /** A well controlled heater goes this far over its target when it warms up, °C (common practice). */
    private const OVERSHOOT = ['hotend' => 25.0, 'bed' => 15.0];

    /**
     * @param  float  $hotendMostC  150 to 500; what the hot end of this family stands
     * @param  float  $bedMostC  40 to 200
     */
    public function __construct(public float $hotendMostC = 260.0, public float $bedMostC = 120.0)
    {
    }

    /**
     * @param  'hotend'|'bed'  $heater
     * @param  float  $askedC  for the material; 0 when nothing is asked
     * @param  float  $highC  the hottest it was allowed to be up to now
     */
    public function ceiling(string $heater, float $askedC, float $highC): float
    {
        $most = $heater === 'hotend' ? $this->hotendMostC : $this->bedMostC;

        return min($most, max($askedC, $highC) + self::OVERSHOOT[$heater]);
    }
}
