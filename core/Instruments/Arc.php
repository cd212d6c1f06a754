<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** A G2 or G3 arc as a row of short chords. */
final class Arc
{
    private const CHORD_MM = 1.0;

    /**
     * @param  array{X: float, Y: float, Z: float, E: float}  $at
     * @param  array{X: float, Y: float, Z: float, E: float}  $to
     * @param  float|null  $i  centre less start, mm
     * @param  float|null  $j  centre less start, mm
     * @param  float|null  $r  radius, mm; negative for the longer way
     * @return list<array{float, float, float}> the chords’ ends; empty when the arc has no centre
     */
    public static function points(array $at, array $to, ?float $i, ?float $j, ?float $r, bool $clockwise): array
    {
        $centre = $i !== null || $j !== null ? [$at['X'] + ($i ?? 0.0), $at['Y'] + ($j ?? 0.0)] : self::centre($at, $to, $r, $clockwise);
        if ($centre === null) {
            return [];
        }
        [$cx, $cy] = $centre;
        $radius = hypot($at['X'] - $cx, $at['Y'] - $cy);
        $from = atan2($at['Y'] - $cy, $at['X'] - $cx);
        $sweep = atan2($to['Y'] - $cy, $to['X'] - $cx) - $from;
        if ($clockwise && $sweep >= -1e-9) {
            $sweep -= 2 * M_PI;
        } elseif (! $clockwise && $sweep <= 1e-9) {
            $sweep += 2 * M_PI;
        }
        $pieces = max(8, (int) ceil($radius * abs($sweep) / self::CHORD_MM));
        $points = [];
        for ($n = 1; $n < $pieces; $n++) {
            $angle = $from + $sweep * $n / $pieces;
            $points[] = [$cx + $radius * cos($angle), $cy + $radius * sin($angle), $at['Z'] + ($to['Z'] - $at['Z']) * $n / $pieces];
        }

        return [...$points, [$to['X'], $to['Y'], $to['Z']]];
    }

    /**
     * @param  array{X: float, Y: float, Z: float, E: float}  $at
     * @param  array{X: float, Y: float, Z: float, E: float}  $to
     * @return array{float, float}|null
     */
    private static function centre(array $at, array $to, ?float $r, bool $clockwise): ?array
    {
        $half = hypot($to['X'] - $at['X'], $to['Y'] - $at['Y']) / 2;
        if ($r === null || $half <= 0 || abs($r) < $half - 1e-6) {
            return null;
        }
        $height = sqrt(max(0.0, $r ** 2 - $half ** 2)) * (($r > 0) === $clockwise ? 1 : -1);
        $dx = ($to['X'] - $at['X']) / (2 * $half);
        $dy = ($to['Y'] - $at['Y']) / (2 * $half);

        return [($at['X'] + $to['X']) / 2 + $height * $dy, ($at['Y'] + $to['Y']) / 2 - $height * $dx];
    }
}
