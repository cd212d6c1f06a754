<?php

declare(strict_types=1);

namespace OddBench\Machines;

use DateTimeImmutable;

/** What a machine’s counter of print hours showed at a moment. */
final readonly class HourCounter
{
    /** @param  float  $hours  0 and up, since the counter began */
    public function __construct(public DateTimeImmutable $at, public float $hours)
    {
    }

    /** Hours as they are told: tenths of few. */
    public static function plain(float $hours): string
    {
        return number_format($hours, $hours < 100 ? 1 : 0, '.', '');
    }
}
