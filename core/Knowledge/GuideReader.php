<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use OddBench\Input\InputError;
use OddBench\Repair\FastenerList;

/** Makes a guide of its knowledge file. */
final class GuideReader
{
    private const LONGEST_MIN = 1440;

    /** A guide; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry, string $area): Guide
    {
        $minutes = $entry->part('minutes', $entry->map('minutes'));
        $first = $minutes->number('first', 1, 600);
        $practised = $minutes->number('practised', 1, 600);
        if ($practised > $first) {
            $minutes->wrong('practised', 'must not be more than the first time takes');
        }
        $kit = self::kit($entry);
        $guide = new Guide(
            code: $entry->text('code'),
            name: $entry->text('name'),
            area: $area,
            mends: $entry->codes('mends'),
            needs: $entry->needs(),
            state: $entry->text('state'),
            tools: $entry->someCodes('tools'),
            kit: $kit,
            first: $first,
            practised: $practised,
            touches: $entry->someCodes('touches'),
            steps: self::steps($entry, array_map(static fn (KitPart $p): string => $p->class, $kit)),
        );
        if (count($guide->schools()) === 1) {
            $entry->wrong('steps.school', "there is one way only, “{$guide->schools()[0]}”; name the other or leave it out");
        }
        foreach ([null, ...$guide->schools()] as $school) {
            GuideSafety::check($guide, $school, $entry);
        }

        return $guide;
    }

    /** @return list<KitPart> */
    private static function kit(Entry $entry): array
    {
        $kit = [];
        foreach ($entry->items('kit') as $i => $fields) {
            $of = $entry->part('kit.'.($i + 1), $fields);
            $kit[] = new KitPart($of->text('part'), (int) $of->number('count', 1, 50, 1), $of->yes('if_needed'), $of->textOrNull('school'));
        }

        return $kit;
    }

    /**
     * @param  list<string>  $kit  classes of part
     * @return non-empty-list<GuideStep>
     */
    private static function steps(Entry $entry, array $kit): array
    {
        $power = Power::Unplugged;
        $heat = Heat::Cold;
        $steps = [];
        foreach ($entry->items('steps') as $i => $fields) {
            $of = $entry->part('steps.'.($i + 1), $fields);
            $power = self::power($of, $i === 0) ?? $power;
            $heat = self::heat($of, $i === 0) ?? $heat;
            $before = $steps === [] ? null : $steps[count($steps) - 1];
            $part = $of->textOrNull('part');
            if ($part !== null && ! in_array($part, $kit, true)) {
                $of->wrong('part', "“{$part}” is not in the kit of this guide");
            }
            $heater = $of->textOrNull('heater');
            if ($heater !== null && $heater !== 'out' && $heater !== 'in') {
                $of->wrong('heater', 'must be out or in');
                $heater = null;
            }
            $steps[] = new GuideStep(
                do: $of->text('do'),
                power: $power,
                heat: $heat,
                powerChanges: $before !== null && $before->power !== $power,
                heatChanges: $before !== null && $before->heat !== $heat,
                target: $of->textOrNull('target'),
                caution: $of->textOrNull('caution'),
                hazards: $of->codes('hazards'),
                timer: self::timer($of),
                school: $of->textOrNull('school'),
                part: $part,
                heater: $heater,
                metalNearLeads: $of->yes('metal_near_leads'),
                instrument: $of->textOrNull('instrument'),
                off: self::off($of),
            );
        }
        if ($steps === []) {
            $entry->wrong('steps', 'must name at least one step');
            $steps[] = new GuideStep('', $power, $heat, false, false, null, null, [], null, null, null, null, false, null, null);
        }

        return $steps;
    }

    private static function power(Entry $of, bool $must): ?Power
    {
        $text = $must ? $of->text('power') : $of->textOrNull('power');
        $power = $text === null ? null : Power::tryFrom($text);
        if ($text !== null && $text !== '' && $power === null) {
            $of->wrong('power', 'must be unplugged, off or on');
        }

        return $power;
    }

    private static function heat(Entry $of, bool $must): ?Heat
    {
        $text = $must ? $of->text('heat') : $of->textOrNull('heat');
        $heat = $text === null ? null : Heat::tryFrom($text);
        if ($text !== null && $text !== '' && $heat === null) {
            $of->wrong('heat', 'must be cold, hot or falling');
        }

        return $heat;
    }

    private static function timer(Entry $of): ?Timer
    {
        if ($of->map('timer') === []) {
            return null;
        }
        $timer = $of->part('timer', $of->map('timer'));
        $minutes = $timer->number('minutes', 0.5, self::LONGEST_MIN);
        $most = $timer->numberOrNull('most');
        if ($most !== null && $most < $minutes) {
            $timer->wrong('most', 'must not be less than minutes');
        }

        return new Timer($timer->text('name'), $minutes, $most, $timer->yes('oven'));
    }

    private static function off(Entry $of): ?TakenOff
    {
        if ($of->map('off') === []) {
            return null;
        }
        $off = $of->part('off', $of->map('off'));
        $fasteners = $off->text('fasteners', '');
        try {
            FastenerList::read($fasteners);
        } catch (InputError $e) {
            $off->wrong('fasteners', 'cannot be read: '.$e->getMessage());
        }

        return new TakenOff(
            $off->text('what'),
            $fasteners,
            $off->codes('sockets'),
            $off->codes('parts'),
            $off->yes('independent'),
            $off->textOrNull('way_round'),
            $off->textOrNull('undo_first'),
            $off->textOrNull('first_pass'),
            $off->textOrNull('second_pass'),
            $off->textOrNull('check'),
        );
    }
}
