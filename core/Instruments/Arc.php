<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * A G2 or G3 arc as a row of short chords, in the plane of G17, G18 or G19 (ISO 6983-1); the third axis goes along evenly.
 * However large its circle, it is so many chords at the most.
 */
final class Arc
{
    /** How far a chord may leave the arc, mm; and how far it may turn at its end, radians. */
    private const SAGITTA_MM = 0.02;

    private const TURN = M_PI / 15;

    private const MOST_CHORDS = 3600;

    /** Plane => its two axes in the order that makes G3 turn left, the offsets of its centre, the third axis. */
    private const PLANES = [17 => ['X', 'Y', 'I', 'J', 'Z'], 18 => ['Z', 'X', 'K', 'I', 'Y'], 19 => ['Y', 'Z', 'J', 'K', 'X']];

    /**
     * @param  array{X: float, Y: float, Z: float, E: float}  $at
     * @param  array{X: float, Y: float, Z: float, E: float}  $to
     * @param  array<string, float>  $words  I, J, K: centre less start, mm; R: radius, mm, negative for the longer way
     * @param  17|18|19  $plane
     * @return list<array{float, float, float}> the chords’ ends; empty when the arc has no centre
     */
    public static function points(array $at, array $to, array $words, bool $clockwise, int $plane = 17): array
    {
        [$a, $b, $i, $j, $third] = self::PLANES[$plane];
        $centre = isset($words[$i]) || isset($words[$j]) ? [$at[$a] + ($words[$i] ?? 0.0), $at[$b] + ($words[$j] ?? 0.0)]
            : (isset($words['R']) ? self::centre($to[$a] - $at[$a], $to[$b] - $at[$b], $at[$a], $at[$b], $words['R'], $clockwise) : null);
        if ($centre === null) {
            return [];
        }
        [$ca, $cb] = $centre;
        $radius = hypot($at[$a] - $ca, $at[$b] - $cb);
        $from = atan2($at[$b] - $cb, $at[$a] - $ca);
        $sweep = atan2($to[$b] - $cb, $to[$a] - $ca) - $from;
        if ($clockwise && $sweep >= -1e-9) {
            $sweep -= 2 * M_PI;
        } elseif (! $clockwise && $sweep <= 1e-9) {
            $sweep += 2 * M_PI;
        }
        $pieces = (int) min(
            self::MOST_CHORDS,
            max(2, ceil(abs($sweep) / self::TURN), ceil(abs($sweep) * sqrt($radius / (8 * self::SAGITTA_MM)))),
        );
        $points = [];
        for ($n = 1; $n < $pieces; $n++) {
            $angle = $from + $sweep * $n / $pieces;
            $point = [
                $a => $ca + $radius * cos($angle),
                $b => $cb + $radius * sin($angle),
                $third => $at[$third] + ($to[$third] - $at[$third]) * $n / $pieces,
            ];
            $points[] = [$point['X'] ?? $to['X'], $point['Y'] ?? $to['Y'], $point['Z'] ?? $to['Z']];
        }

        return [...$points, [$to['X'], $to['Y'], $to['Z']]];
    }

    /**
     * By how much the end lies beside the circle through the start, mm; 0 for an arc by its radius.
     *
     * @param  array{X: float, Y: float, Z: float, E: float}  $at
     * @param  array{X: float, Y: float, Z: float, E: float}  $to
     * @param  array<string, float>  $words  as points() takes them
     * @param  17|18|19  $plane
     */
    public static function beside(array $at, array $to, array $words, int $plane): float
    {
        [$a, $b, $i, $j] = self::PLANES[$plane];
        if (! isset($words[$i]) && ! isset($words[$j])) {
            return 0.0;
        }
        [$ca, $cb] = [$at[$a] + ($words[$i] ?? 0.0), $at[$b] + ($words[$j] ?? 0.0)];

        return abs(hypot($to[$a] - $ca, $to[$b] - $cb) - hypot($at[$a] - $ca, $at[$b] - $cb));
    }

    /** @return array{float, float}|null */
    private static function centre(float $da, float $db, float $a, float $b, float $r, bool $clockwise): ?array
    {
        $half = hypot($da, $db) / 2;
        if ($half <= 0 || abs($r) < $half - 1e-6) {
            return null;
        }
        $height = sqrt(max(0.0, $r ** 2 - $half ** 2)) * (($r > 0) === $clockwise ? 1 : -1);

        return [$a + $da / 2 + $height * $db / (2 * $half), $b + $db / 2 - $height * $da / (2 * $half)];
    }
}
