<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use Carbon\CarbonImmutable;
use OddBench\Plan\PromiseDate;

/** A promise in a sentence. */
final class PromiseWords
{
    public static function of(?string $ninety, ?string $half, float $partDays, int $learned): string
    {
        if ($ninety === null || $half === null) {
            return 'No day of this year holds in 9 of 10: promise none yet.';
        }
        $words = $ninety === $half
            ? sprintf('%s holds in 9 of 10.', self::day($ninety))
            : sprintf('%s holds in 9 of 10, %s in half.', self::day($ninety), self::day($half));
        if ($partDays >= 1.0) {
            $words .= sprintf(' Its likeliest part takes about %d days.', (int) round($partDays));
        }

        return $learned < PromiseDate::LEARNS_FROM ? $words : "{$words} Learned from {$learned} earlier ones.";
    }

    private static function day(string $date): string
    {
        return CarbonImmutable::parse($date)->format('D j M');
    }
}
