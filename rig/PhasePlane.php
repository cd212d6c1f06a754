<?php

declare(strict_types=1);

namespace OddBench\Rig;

/**
 * The time-optimal speed along a path found the slow way: on a grid of 0.02 mm the squared speed may grow by 2·a·ds forwards
 * and backwards (the phase-plane method of Bobrow, Dubowsky and Gibson 1985, Int. J. Robotics Research 4, 3–17).
 */
final class PhasePlane
{
    public const GRID_MM = 0.02;

    /** @param  list<array{float, float, float}>  $moves  length, angle, speed */
    public static function seconds(array $moves, float $acceleration, float $deviation): float
    {
        $limits = [0.0];
        foreach ($moves as $i => [$length, $angle, $speed]) {
            $cells = max(1, (int) round($length / self::GRID_MM));
            for ($cell = 1; $cell < $cells; $cell++) {
                $limits[] = $speed ** 2;
            }
            if (! isset($moves[$i + 1])) {
                break;
            }
            [, $next, $faster] = $moves[$i + 1];
            // θ is the angle inside the corner: π goes straight on
            $sine = sin(abs(M_PI - abs(fmod(abs($next - $angle), 2 * M_PI))) / 2);
            $limits[] = min($speed ** 2, $faster ** 2, $acceleration * $deviation * $sine / max(1e-12, 1 - $sine));
        }
        $limits[] = 0.0;
        $gain = 2 * $acceleration * self::GRID_MM;
        for ($i = 1, $n = count($limits); $i < $n; $i++) {
            $limits[$i] = min($limits[$i], $limits[$i - 1] + $gain);
        }
        for ($i = count($limits) - 2; $i >= 0; $i--) {
            $limits[$i] = min($limits[$i], $limits[$i + 1] + $gain);
        }
        $seconds = 0.0;
        for ($i = 1, $n = count($limits); $i < $n; $i++) {
            $seconds += 2 * self::GRID_MM / (sqrt($limits[$i]) + sqrt($limits[$i - 1]));
        }

        return $seconds;
    }
}
