<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** What a run is to do: its stages, and the figures of this machine it is held against. */
final readonly class Plan
{
    public const STAGES = ['identify', 'smoke', 'homing', 'travel', 'hotend-hold', 'bed-hold', 'runaway-hotend', 'runaway-bed', 'heat-moving', 'free-air', 'print', 'slots'];

    /** Every machine owes these, whatever was mended (common practice). */
    public const ALWAYS = ['identify', 'smoke', 'homing', 'hotend-hold', 'runaway-hotend'];

    /**
     * @param  list<string>  $stages  of STAGES, in their order
     * @param  array{float, float, float}  $sizeMm
     * @param  float|null  $bedRiseS  seconds this bed took from cold to its target when it was well
     */
    public function __construct(
        public array $stages,
        public array $sizeMm = [220.0, 220.0, 250.0],
        public float $hotendC = 200.0,
        public float $bedC = 60.0,
        public ?float $bedRiseS = null,
        public int $slots = 1,
        public float $holdS = 120.0,
    ) {
    }

    /**
     * @param  list<string>  $owed  stages
     * @return list<string> those and the ones every machine owes, in their order
     */
    public static function stages(array $owed): array
    {
        return array_values(array_intersect(self::STAGES, [...self::ALWAYS, ...$owed]));
    }
}
