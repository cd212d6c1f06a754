<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A filament material as it is stored. */
final readonly class Material
{
    /**
     * @param  float  $densityGCm3  of the plain material
     * @param  int  $openDays  in a usual room, open, until it is better dried
     * @param  int  $keepsDays  from new until it counts as old
     */
    public function __construct(public string $code, public float $densityGCm3, public int $openDays, public int $keepsDays)
    {
    }
}
