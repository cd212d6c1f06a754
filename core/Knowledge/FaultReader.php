<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Makes a fault of its entry in a knowledge file. */
final class FaultReader
{
    /** A fault; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry, string $area): Fault
    {
        $shows = [];
        foreach ($entry->map('shows') as $finding => $strength) {
            $probability = Strength::read($strength);
            if ($probability === null) {
                $entry->wrong("shows.{$finding}", 'must be A, O, S or R, or a strength above 0 and up to 1');
            } else {
                $shows[$finding] = $probability;
            }
        }

        return new Fault(
            code: $entry->text('code'),
            name: $entry->text('name'),
            area: $area,
            rate: $entry->number('rate', 0.1, 400),
            needs: $entry->needs(),
            shows: $shows,
            means: $entry->text('means'),
            tells: $entry->textOrNull('tells'),
            mends: self::mends($entry),
            danger: $entry->yes('danger'),
            behind: $entry->codes('behind'),
            brings: $entry->codes('brings'),
            cautions: $entry->codes('cautions'),
            sisters: self::sisters($entry),
            settle: $entry->codes('settle'),
            qualified: self::qualified($entry),
        );
    }

    /** @return array<string, list<string>>|null */
    private static function qualified(Entry $entry): ?array
    {
        return match ($entry->textOrNull('qualified')) {
            null => null,
            'always' => [],
            'mains-bed' => ['bed_supply' => ['mains']],
            default => self::wrongQualified($entry),
        };
    }

    /** @return array<string, list<string>> */
    private static function wrongQualified(Entry $entry): array
    {
        $entry->wrong('qualified', 'must be always or mains-bed');

        return [];
    }

    private static function sisters(Entry $entry): ?Sisters
    {
        if ($entry->map('sisters') === []) {
            return null;
        }
        $of = $entry->part('sisters', $entry->map('sisters'));
        $kind = $of->text('kind');
        if ($kind !== 'mounting' && $kind !== 'batch') {
            $of->wrong('kind', 'must be mounting or batch');
            $kind = 'batch';
        }

        return new Sisters($kind, $of->text('look'), $of->textOrNull('part'), $of->text('because'));
    }

    /** @return non-empty-list<Mend> */
    private static function mends(Entry $entry): array
    {
        $ways = $entry->items('mends');
        $mends = [];
        foreach ($ways as $i => $way) {
            $mend = $entry->part('mends.'.($i + 1), $way);
            $mends[] = new Mend(
                count($ways) > 1 ? $mend->text('school') : $mend->textOrNull('school'),
                $mend->text('do'),
                $mend->number('minutes', 1, 600),
                $mend->codes('touches'),
                $mend->someCodes('parts'),
            );
        }
        if ($mends === []) {
            $entry->wrong('mends', 'must name at least one way to put it right');
            $mends[] = new Mend(null, '', 1, [], []);
        }

        return $mends;
    }
}
