<?php

declare(strict_types=1);

namespace App\Proof;

use OddBench\Knowledge\Family;
use OddBench\Proof\Owed;
use OddBench\Proof\Plan as ProofPlan;
use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Run\Limits;
use OddBench\Proof\Run\Plan;

/** Which proof each stage of a run shows, and what a run of a job is to do. */
final class StageProofs
{
    /** proof => stage that shows it */
    public const SHOWS = [
        'power-on' => 'smoke', 'fans-turn' => 'smoke', 'home' => 'homing', 'full-travel' => 'travel', 'hotend-hold' => 'hotend-hold', 'bed-hold' => 'bed-hold',
        'heat-moving' => 'heat-moving', 'runaway-hotend' => 'runaway-hotend', 'runaway-bed' => 'runaway-bed', 'first-layer' => 'first-layer', 'small-print' => 'print',
        'feeder-slots' => 'slots', 'feeder-print' => 'slot-prints', 'materials-print' => 'materials', 'long-print' => 'long',
    ];

    /** proof => print that shows it */
    public const PRINTS = ['heat-moving' => 'loom-slab', 'first-layer' => 'first-layer', 'small-print' => 'ring', 'feeder-slots' => 'slots', 'feeder-print' => 'slot-rings', 'materials-print' => 'materials', 'long-print' => 'long'];

    public const NAMES = [
        'identify' => 'Connect, room temperature', 'smoke' => 'No smoke, fans turn', 'homing' => 'Home on the switches', 'travel' => 'Full travel, no step lost',
        'hotend-hold' => 'Hot end heats and holds', 'bed-hold' => 'Bed heats and holds', 'runaway-hotend' => 'Runaway test, hot end', 'runaway-bed' => 'Runaway test, bed',
        'heat-moving' => 'Heat while it moves', 'free-air' => 'Extrude in free air', 'first-layer' => 'First layer, five patches', 'print' => 'Small print from storage', 'slots' => 'Every feeder slot',
        'slot-prints' => 'A ring from each slot', 'materials' => 'Several materials', 'long' => 'A long print, three hours',
    ];

    /**
     * @param  list<string>  $owed  proofs
     * @return list<string> stages
     */
    public static function stages(array $owed): array
    {
        $stages = array_values(array_intersect_key(self::SHOWS, array_flip($owed)));
        if (array_intersect(['print', 'first-layer'], $stages) !== []) {
            $stages[] = 'free-air';
        }

        return Plan::stages($stages);
    }

    /**
     * @param  array<string, bool>  $passed
     * @return list<string> stages a run of this job would do now
     */
    public static function owed(ProofPlan $plan, array $passed): array
    {
        return self::stages(array_map(static fn (Owed $o): string => $o->proof->code, $plan->missing($passed)));
    }

    /** @param  list<string>  $stages */
    public static function plan(array $stages, Family $family, ?float $bedRiseS): Plan
    {
        return new Plan(
            $stages,
            Bed::of($family->build),
            bedRiseS: $bedRiseS,
            slots: ($family->traits['feeder'] ?? 'none') === 'multi' ? 4 : 1,
            probed: in_array($family->traits['levelling'] ?? '', ['probe', 'nozzle-probe'], true),
            limits: new Limits($family->heat->hotendMostC, $family->heat->bedMostC),
            familyHotendRiseS: $family->heat->hotendRiseS,
            familyBedRiseS: $family->heat->bedRiseS,
        );
    }
}
