<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** Annealed copper: 1/58 Ω·mm²/m at 20 °C, and 0.00393 of that more for each kelvin (IEC 60028). */
final class Copper
{
    public const REFERENCE_C = 20.0;

    public const OHM_MM2_PER_M = 1 / 58;

    private const PER_K = 0.00393;

    /** Resistance at a temperature, as a multiple of that at 20 °C; above 0 from −200 °C on. */
    public static function at(float $celsius): float
    {
        return 1 + self::PER_K * ($celsius - self::REFERENCE_C);
    }

    /** What a resistance measured at one temperature grows by until another. */
    public static function ratio(float $fromC, float $toC): float
    {
        return self::at($toC) / self::at($fromC);
    }
}
