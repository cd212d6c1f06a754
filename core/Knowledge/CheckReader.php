<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Makes a check of its entry in a knowledge file. */
final class CheckReader
{
    /** A check; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry): Check
    {
        $state = State::tryFrom($entry->text('state'));
        if ($state === null) {
            $entry->wrong('state', 'must be cold, unplugged, open, powered or hot');
        }
        $steps = $entry->codes('steps');
        if (count($steps) < 2 || count($steps) > 5) {
            $entry->wrong('steps', 'must say in two to five steps how it is done');
        }

        return new Check(
            code: $entry->text('code'),
            name: $entry->text('name'),
            minutes: $entry->number('minutes', 0.5, 120),
            state: $state ?? State::Hot,
            supervised: $entry->yes('supervised'),
            qualified: $entry->yes('qualified'),
            apart: $entry->yes('apart'),
            byPart: $entry->yes('by_part'),
            yields: $entry->codes('yields'),
            needs: $entry->needs(),
            steps: $steps,
            hazards: $entry->someCodes('hazards'),
            takes: $entry->numberOrNull('takes'),
            instrument: $entry->textOrNull('instrument'),
            reading: self::reading($entry),
            pictures: $entry->codes('pictures'),
            caution: $entry->textOrNull('caution'),
            notWhen: $entry->codes('not_when'),
            onlyWhen: $entry->codes('only_when'),
        );
    }

    private static function reading(Entry $entry): ?Reading
    {
        if ($entry->map('reading') === []) {
            return null;
        }
        $reading = $entry->part('reading', $entry->map('reading'));
        $limits = [];
        foreach ($reading->map('says') as $finding => $limit) {
            $of = $reading->part("says.{$finding}", $limit);
            $limits[$finding] = new Limit($of->numberOrNull('below'), $of->numberOrNull('above'));
            if ($limits[$finding]->below === null && $limits[$finding]->above === null) {
                $of->wrong('below', 'or above must say from which value on it is there');
            }
        }
        if ($limits === []) {
            $reading->wrong('says', 'must name the findings the value stands for');
        }

        return new Reading(
            $reading->text('ask'),
            $reading->text('unit'),
            $reading->number('least', -1e6, 1e6),
            $reading->number('most', -1e6, 1e6),
            $limits,
        );
    }
}
