<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Input\InputError;
use OddBench\Instruments\Filament;

/** What a part the shop makes itself costs: material by *filament*, and the minutes of hands. Print minutes run by themselves. */
final readonly class MadeCost
{
    /** @param  float  $lengthM  of filament in one */
    private function __construct(public float $material, public float $hands, public float $lengthM)
    {
    }

    /**
     * @param  float  $grams  of material in one, 0 for what is turned or cut from what lies about
     * @param  float  $pricePerKg  in the shop’s currency
     * @param  float  $handMinutes  with hands on it, for one
     * @param  float  $benchMinute  what a minute of hands costs
     * @param  float  $densityGCm3  of the material
     * @param  float  $diameterMm  of the filament
     *
     * @throws InputError out of the ranges of *filament*
     */
    public static function of(
        float $grams,
        float $pricePerKg,
        float $handMinutes,
        float $benchMinute,
        float $densityGCm3 = 1.24,
        float $diameterMm = 1.75,
    ): self {
        if ($grams <= 0.0) {
            return new self(0.0, $handMinutes * $benchMinute, 0.0);
        }
        $amount = (new Filament)->compute([
            'density_g_cm3' => $densityGCm3,
            'diameter_mm' => $diameterMm,
            'mass_g' => $grams,
            'price_per_kg' => $pricePerKg,
        ]);
        $figure = static fn (string $key): float => is_float($amount[$key] ?? null) ? $amount[$key] : 0.0;

        return new self($figure('cost'), $handMinutes * $benchMinute, $figure('length_m'));
    }

    public function total(): float
    {
        return $this->material + $this->hands;
    }
}
