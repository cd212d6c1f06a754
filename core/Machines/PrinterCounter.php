<?php

declare(strict_types=1);

namespace OddBench\Machines;

/** Print hours as a RepRap-style firmware tells them when it is asked for its print statistics (M78; wording from memory). */
final readonly class PrinterCounter
{
    public const ASKS = 'M78';

    private const HOURS = ['y' => 8760.0, 'd' => 24.0, 'h' => 1.0, 'm' => 1 / 60, 's' => 1 / 3600];

    /**
     * Whether a printer that nobody asked anything speaks of work: it keeps a host waiting, moves, heats towards a target or prints
     * from its card (RepRap-style firmware, from memory). What greets whoever connects is no work.
     */
    public static function atWork(string $said): bool
    {
        if (preg_match(
            '/\b(echo:\s*busy|busy:\s*(processing|paused)|SD printing byte|print(ing)? (started|paused|resumed))/i',
            $said,
        ) === 1) {
            return true;
        }
        preg_match_all('~\b[TB]\d?\s*:\s*-?[\d.]+\s*/\s*([\d.]+)~', $said, $targets);

        return max([0.0, ...array_map(floatval(...), $targets[1])]) > 0.0;
    }

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
