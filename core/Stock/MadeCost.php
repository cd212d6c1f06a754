<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Instruments\FilamentAmount;

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
        $amount = FilamentAmount::ofMass($grams, $densityGCm3, $diameterMm);

        return new self($amount->cost($pricePerKg), $handMinutes * $benchMinute, $amount->lengthM);
    }

    /** Material and hands together, in the shop’s currency. */
    public function total(): float
    {
        return $this->material + $this->hands;
    }
}
