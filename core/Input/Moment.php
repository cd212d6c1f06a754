<?php

declare(strict_types=1);

namespace OddBench\Input;

use DateTimeImmutable;
use DateTimeZone;

/** A moment as ISO 8601 writes it: a day, which begins at midnight UTC, or a day and time with its zone. */
final readonly class Moment
{
    private const FORMATS = ['!Y-m-d', '!Y-m-d\TH:i:sp', '!Y-m-d\TH:i:s.vp', '!Y-m-d\TH:ip'];

    /** @throws InputError at the field, when the text is no moment */
    public static function read(string $text, string $field): DateTimeImmutable
    {
        foreach (self::FORMATS as $format) {
            $moment = DateTimeImmutable::createFromFormat($format, $text, new DateTimeZone('UTC'));
            if ($moment !== false && DateTimeImmutable::getLastErrors() === false) {
                return $moment;
            }
        }

        throw InputError::at($field, sprintf(
            '%s must be a day or a moment such as 2026-11-25 or 2026-11-25T09:30:00+01:00, not “%s”.',
            $field,
            mb_strcut(mb_scrub($text), 0, 60),
        ));
    }
}
