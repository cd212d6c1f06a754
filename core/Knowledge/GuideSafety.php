<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/**
 * What no guide may ask of a person (common practice): power that is switched while a heater is out of its block, a metal
 * tool near the leads of a powered head, cold hands on hot metal without a wait, heat without power.
 */
final class GuideSafety
{
    /** Notes at the entry each step at which a guide would put somebody in danger. */
    public static function check(Guide $guide, ?string $school, Entry $entry): void
    {
        $out = false;
        $before = null;
        foreach ($guide->stepsOf($school) as $number => $step) {
            $at = "steps.{$number}";
            if ($step->heater === 'out' && $step->power !== Power::Unplugged) {
                $entry->wrong("{$at}.heater", 'a heater leaves its block only when the machine is unplugged');
            }
            $out = $step->heater === 'out' || ($out && $step->heater !== 'in');
            if (($out || $step->heater === 'in') && $step->power !== Power::Unplugged) {
                $entry->wrong("{$at}.power", 'stays unplugged while the heater is out of its block');
            }
            if ($step->metalNearLeads && $step->power === Power::On) {
                $entry->wrong("{$at}.power", 'must be off or unplugged where a metal tool comes near the leads of the head');
            }
            if ($step->heat === Heat::Hot && $step->power !== Power::On) {
                $entry->wrong("{$at}.heat", 'a heater holds heat only with the power on; write falling');
            }
            if ($before !== null && $before->heat !== Heat::Cold && $step->heat === Heat::Cold && $step->timer === null) {
                $entry->wrong("{$at}.timer", 'hot metal becomes cold only by waiting: give this step a timer');
            }
            if ($step->off !== null && $step->off->sockets !== [] && $step->power === Power::On) {
                $entry->wrong("{$at}.off.sockets", 'nothing is unplugged from a board that has power');
            }
            $before = $step;
        }
        if ($out) {
            $entry->wrong('steps', 'the heater is never put back into its block');
        }
    }
}
