<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Rig\PhasePlane;

/** What moves in time: a relay at a lag with dead time, and a print’s fastest way through its corners. */
final readonly class MotionReferences extends Asking
{
    /** @return iterable<array{float, float}> */
    public function relays(): iterable
    {
        foreach ([[100, 5], [60, 4], [200, 10]] as [$lag, $dead]) {
            foreach ([0.5, 0.35, 0.65] as $share) {
                [$low, $high] = [1e-3, M_PI / $dead];
                for ($i = 0; $i < 60; $i++) {
                    $omega = ($low + $high) / 2;
                    [$low, $high] = atan($omega * $lag) + $omega * $dead < M_PI ? [$omega, $high] : [$low, $omega];
                }
                $waits = array_fill(0, $dead * 10, 0.0);
                $csv = '';
                for ($i = 0, $y = 0.0; $i < 9000; $i++) {
                    $waits[] = $y < 200 * $share ? 200.0 : 0.0;
                    $y += 0.1 * (array_shift($waits) - $y) / $lag;
                    $csv .= $i >= 4000 && $i % 5 === 0 ? sprintf("%.1f,%.4f,%.3f\n", $i / 10, $y, 200 * $share) : '';
                }
                yield [self::number($this->compute('relay-tune', ['relay_amplitude' => 100, 'csv' => $csv]), 'tu_s'), 2 * M_PI / $low];
            }
        }
    }

    /** @return iterable<array{float, float}> */
    public function files(): iterable
    {
        for ($file = 0; $file < 20; $file++) {
            $moves = [];
            $gcode = "G28\n";
            [$x, $y] = [100.0, 100.0];
            for ($i = 0; $i < 150; $i++) {
                [$length, $angle, $speed] = [
                    $i % 3 === 0 ? 0.2 * $this->random->getInt(1, 200) : 0.2 * $this->random->getInt(1, 5),
                    $this->between(0, 2 * M_PI),
                    (float) $this->random->getInt(20, 200),
                ];
                $moves[] = [$length, $angle, $speed];
                [$x, $y] = [$x + $length * cos($angle), $y + $length * sin($angle)];
                $gcode .= sprintf("G1 X%.6f Y%.6f F%d\n", $x, $y, 60 * $speed);
            }
            // the way to the first point is one of the moves
            array_unshift($moves, [hypot(100, 100), M_PI / 4, 25.0]);
            $gcode = str_replace("G28\n", "G28\nG1 X100 Y100 F1500\n", $gcode);
            yield [self::number($this->compute('gcode', ['gcode' => $gcode]), 'estimated_s'), PhasePlane::seconds($moves, 1000.0, 0.05)];
        }
    }
}
