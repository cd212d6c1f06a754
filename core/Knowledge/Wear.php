<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How long a class of part usually lasts, and where on the drawn machine it sits. */
final readonly class Wear
{
    /**
     * @param  float|null  $lifeHours  print hours it usually lasts (common practice); nothing where hours do not wear it
     * @param  bool  $consumable  changed in minutes for little money
     * @param  float|null  $shape  of its lives (Weibull; common practice): above 1 it wears out, at 1 it fails by chance
     */
    public function __construct(
        public string $partClass,
        public string $place,
        public ?float $lifeHours,
        public bool $consumable = false,
        public ?float $shape = null,
    ) {
    }
}
