<?php

declare(strict_types=1);

namespace OddBench\Machines;

/** Print hours as a RepRap-style firmware tells them when it is asked for its print statistics (M78; wording from memory). */
final readonly class PrinterCounter
{
    public const ASKS = 'M78';

    private const HOURS = ['y' => 8760.0, 'd' => 24.0, 'h' => 1.0, 'm' => 1 / 60, 's' => 1 / 3600];

    /**
     * @param  string  $said  what came back, with whatever the printer said of itself in between
     * @return float|null hours, 0 to 200,000; null when it did not tell them
     */
    public static function read(string $said): ?float
    {
        if (preg_match('/\b(?:total|print)[ _]*time\b\s*:?\s*((?:\d+\s*[ydhms]\b\s*)+)/i', $said, $found) !== 1) {
            return null;
        }
        preg_match_all('/(\d+)\s*([ydhms])\b/i', $found[1], $parts, PREG_SET_ORDER);
        $hours = 0.0;
        foreach ($parts as [, $count, $unit]) {
            $hours += (float) $count * self::HOURS[strtolower($unit)];
        }

        return $hours <= 200_000 ? round($hours, 1) : null;
    }
}
