<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use OddBench\Proof\Prints\Bed;

/** What a run is to do: its stages, and the figures of this machine it is held against. */
final readonly class Plan
{
    public const STAGES = ['identify', 'smoke', 'homing', 'travel', 'hotend-hold', 'bed-hold', 'runaway-hotend', 'runaway-bed', 'heat-moving', 'free-air', 'first-layer', 'print', 'slots', 'slot-prints', 'materials', 'long'];

    /** Every machine owes these, whatever was mended (common practice). */
    public const ALWAYS = ['identify', 'smoke', 'homing', 'hotend-hold', 'runaway-hotend'];

    /** s; about how long a stage takes with somebody beside it (from memory of the trade's times, and the long print's own). */
    private const ABOUT_S = [
        'identify' => 8, 'smoke' => 60, 'homing' => 25, 'travel' => 45, 'hotend-hold' => 280, 'bed-hold' => 420, 'runaway-hotend' => 240, 'runaway-bed' => 480, 'heat-moving' => 420,
        'free-air' => 150, 'first-layer' => 780, 'print' => 520, 'slots' => 60, 'slot-prints' => 900, 'materials' => 600, 'long' => 11_400,
    ];

    /**
     * @param  list<string>  $stages  of STAGES, in their order
     * @param  float|null  $bedRiseS  seconds this bed took from cold to its target when it was well
     * @param  int  $slots  of its feeder; 1 without one
     * @param  bool  $resumes  the runner was started anew: what the printer prints by itself meanwhile is watched on
     * @param  bool  $probed  Z is found by a probe, so that no switch of it is pressed after homing
     */
    public function __construct(
        public array $stages,
        public Bed $bed = new Bed,
        public float $hotendC = 200.0,
        public float $bedC = 60.0,
        public ?float $bedRiseS = null,
        public int $slots = 1,
        public float $holdS = 120.0,
        public bool $probed = false,
        public bool $resumes = false,
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

    /** About how long a stage takes, s. */
    public static function about(string $stage): float
    {
        return (float) (self::ABOUT_S[$stage] ?? 0);
    }
}
