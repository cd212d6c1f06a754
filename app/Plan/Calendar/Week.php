<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use OddBench\Input\InputError;

/** Hours of a week as they are typed: each day's spans, such as 08:00 to 12:00. */
final class Week
{
    private const CLOCK = '/^([01]?\d|2[0-4]):([0-5]\d)$/';

    /**
     * @param  list<array{weekday: int, opens: string, closes: string}>  $typed
     * @return list<array{weekday: int, opens: int, closes: int}>
     *
     * @throws InputError when a span ends before it begins, or two lie over each other
     */
    public static function read(array $typed): array
    {
        $rows = [];
        $last = array_fill(1, 7, -1);
        foreach ($typed as $i => $one) {
            $opens = self::minute($one['opens'], "week.{$i}.opens");
            $closes = self::minute($one['closes'], "week.{$i}.closes");
            if ($closes <= $opens) {
                throw InputError::at("week.{$i}.closes", "{$one['opens']} to {$one['closes']} ends before it begins.");
            }
            if ($opens < $last[$one['weekday']]) {
                throw InputError::at("week.{$i}.opens", 'Hours of a day follow each other: this one begins before the one above is over.');
            }
            $last[$one['weekday']] = $closes;
            $rows[] = ['weekday' => $one['weekday'], 'opens' => $opens, 'closes' => $closes];
        }

        return $rows;
    }

    public static function words(int $minute): string
    {
        return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }

    public static function minute(string $clock, string $field): int
    {
        if (preg_match(self::CLOCK, trim($clock), $parts) !== 1 || 60 * (int) $parts[1] + (int) $parts[2] > 1440) {
            throw InputError::at($field, "“{$clock}” is no time of the clock; such as 08:30.");
        }

        return 60 * (int) $parts[1] + (int) $parts[2];
    }
}
