<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** A small single-material ring as G-code: 30 mm across, one wall, 4 mm high; it heats and cools by itself. */
final class TestPrint
{
    private const LAYER_MM = 0.2;

    private const LINE_MM = 0.45;

    private const FILAMENT_MM2 = 2.405;

    private const CORNERS = 24;

    /**
     * @param  bool  $waits  it waits for its heat by itself, for a printer that is not connected
     * @return list<string>
     */
    public static function ring(Plan $plan, bool $waits, float $acrossMm = 30.0, float $heightMm = 4.0): array
    {
        [$cx, $cy] = [$plan->sizeMm[0] / 2, $plan->sizeMm[1] / 2];
        $lines = ['G90', 'M82', "M140 S{$plan->bedC}", "M104 S{$plan->hotendC}", 'G28', ...($waits ? ["M190 S{$plan->bedC}", "M109 S{$plan->hotendC}"] : []), 'G92 E0'];
        $e = 0.0;
        $side = $acrossMm * sin(M_PI / self::CORNERS);
        $perSide = $side * self::LAYER_MM * self::LINE_MM / self::FILAMENT_MM2;
        for ($layer = 1; $layer <= (int) round($heightMm / self::LAYER_MM); $layer++) {
            $z = $layer * self::LAYER_MM;
            $lines[] = sprintf('G1 X%.2f Y%.2f Z%.2f F6000', $cx + $acrossMm / 2, $cy, $z);
            for ($i = 1; $i <= self::CORNERS; $i++) {
                $e += $perSide;
                $angle = 2 * M_PI * $i / self::CORNERS;
                $lines[] = sprintf('G1 X%.2f Y%.2f E%.4f F1500', $cx + $acrossMm / 2 * cos($angle), $cy + $acrossMm / 2 * sin($angle), $e);
            }
        }

        return [...$lines, 'G1 Z20 F600', 'M104 S0', 'M140 S0'];
    }
}
