<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * How warm a single insulated copper wire becomes in still air: the heat it makes is what leaves it by free convection
 * (Churchill and Chu 1975, Int. J. Heat Mass Transfer 18, 1049–1053, horizontal cylinder) and by radiation (Stefan and
 * Boltzmann). Several in one loom grow warmer than this.
 */
final class WireHeat
{
    /** Insulation around the copper, mm (usual of hook-up wire, common practice). */
    private const INSULATION_MM = 0.6;

    private const EMISSIVITY = 0.9;

    private const STEFAN_BOLTZMANN = 5.670374419e-8;

    private const GRAVITY = 9.80665;

    private const MOST_K = 400.0;

    /**
     * @param  float  $area  mm²
     * @param  float  $airC  °C around it
     * @return float|null K above the air; null when it would go on past any temperature insulation stands
     */
    public static function rise(float $amps, float $area, float $airC): ?float
    {
        $outer = (2 * sqrt($area / M_PI) + 2 * self::INSULATION_MM) / 1000;
        $gains = static fn (float $k): float => $amps ** 2 * Copper::OHM_MM2_PER_M / $area * Copper::at($airC + $k) - self::leaves($k, $outer, $airC);
        if ($gains(self::MOST_K) > 0) {
            return null;
        }
        [$low, $high] = [0.0, self::MOST_K];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $gains($middle) > 0 ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /** W a metre of it gives to the air when it is so many kelvins warmer. */
    private static function leaves(float $k, float $outer, float $airC): float
    {
        $air = $airC + 273.15;
        $film = $air + $k / 2;
        // air at atmospheric pressure, by power laws about 300 K: conductivity W/(m·K), kinematic viscosity m²/s
        $conducts = 0.0263 * ($film / 300) ** 0.82;
        $viscosity = 15.9e-6 * ($film / 300) ** 1.76;
        $prandtl = 0.707;
        $rayleigh = self::GRAVITY * max(1e-9, $k) * $outer ** 3 * $prandtl / ($film * $viscosity ** 2);
        $nusselt = (0.6 + 0.387 * $rayleigh ** (1 / 6) / (1 + (0.559 / $prandtl) ** (9 / 16)) ** (8 / 27)) ** 2;

        return M_PI * $outer * ($nusselt * $conducts / $outer * $k + self::EMISSIVITY * self::STEFAN_BOLTZMANN * (($air + $k) ** 4 - $air ** 4));
    }
}
