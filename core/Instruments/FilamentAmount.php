<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** So much filament: its length, mass and volume say the same. */
final readonly class FilamentAmount
{
    private function __construct(public float $lengthM, public float $massG, public float $volumeCm3)
    {
    }

    /**
     * @param  float  $volumeCm3  0 or more
     * @param  float  $densityGCm3  of the material
     * @param  float  $diameterMm  of the filament
     */
    public static function ofVolume(float $volumeCm3, float $densityGCm3, float $diameterMm): self
    {
        // one metre of a cross-section of 1 mm² is 1 cm³
        return new self($volumeCm3 / self::area($diameterMm), $volumeCm3 * $densityGCm3, $volumeCm3);
    }

    /** From grams, g/cm³ and mm, each above 0. */
    public static function ofMass(float $massG, float $densityGCm3, float $diameterMm): self
    {
        return self::ofVolume($massG / $densityGCm3, $densityGCm3, $diameterMm);
    }

    /** From metres, g/cm³ and mm, each above 0. */
    public static function ofLength(float $lengthM, float $densityGCm3, float $diameterMm): self
    {
        return self::ofVolume($lengthM * self::area($diameterMm), $densityGCm3, $diameterMm);
    }

    /** At a price per kilogram, in its currency. */
    public function cost(float $pricePerKg): float
    {
        return $this->massG / 1000 * $pricePerKg;
    }

    /** mm² */
    private static function area(float $diameterMm): float
    {
        return M_PI * $diameterMm ** 2 / 4;
    }
}
