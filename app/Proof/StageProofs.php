<?php

declare(strict_types=1);

namespace App\Proof;

use OddBench\Knowledge\Family;
use OddBench\Proof\Run\Plan;

/** Which proof each stage of a run shows, and what a run of a job is to do. */
final class StageProofs
{
    /** proof => stage that shows it */
    public const SHOWS = [
        'power-on' => 'smoke', 'fans-turn' => 'smoke', 'home' => 'homing', 'full-travel' => 'travel', 'hotend-hold' => 'hotend-hold', 'bed-hold' => 'bed-hold',
        'heat-moving' => 'heat-moving', 'runaway-hotend' => 'runaway-hotend', 'runaway-bed' => 'runaway-bed', 'small-print' => 'print', 'feeder-slots' => 'slots',
    ];

    public const NAMES = [
        'identify' => 'Connect, room temperature', 'smoke' => 'No smoke, fans turn', 'homing' => 'Home on the switches', 'travel' => 'Full travel, no step lost',
        'hotend-hold' => 'Hot end heats and holds', 'bed-hold' => 'Bed heats and holds', 'runaway-hotend' => 'Runaway test, hot end', 'runaway-bed' => 'Runaway test, bed',
        'heat-moving' => 'Heat while it moves', 'free-air' => 'Extrude in free air', 'print' => 'Small print from storage', 'slots' => 'Every feeder slot',
    ];

    /**
     * @param  list<string>  $owed  proofs
     * @return list<string> stages
     */
    public static function stages(array $owed): array
    {
        $stages = array_values(array_intersect_key(self::SHOWS, array_flip($owed)));
        if (in_array('print', $stages, true)) {
            $stages[] = 'free-air';
        }

        return Plan::stages($stages);
    }

    /** @param  list<string>  $stages */
    public static function plan(array $stages, ?Family $family, ?float $bedRiseS): Plan
    {
        $starts = $family->starts ?? [];
        $size = static fn (string $key, float $otherwise): float => is_numeric($starts[$key] ?? null) ? (float) $starts[$key] : $otherwise;

        return new Plan($stages, [$size('bed_x_mm', 200), $size('bed_y_mm', 200), $size('bed_z_mm', 200)], bedRiseS: $bedRiseS, slots: ($family->traits['feeder'] ?? 'none') === 'multi' ? 4 : 1);
    }
}
