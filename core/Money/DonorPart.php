<?php

declare(strict_types=1);

namespace OddBench\Money;

/** A part that could be taken out of a machine and put on the shelf. */
final readonly class DonorPart
{
    /**
     * @param  int  $price  of a new one, minor units
     * @param  float|null  $runH  hours it has run; null when nobody knows
     * @param  float|null  $lifeH  it usually lasts; null where hours do not wear it
     * @param  int  $askedLastYear  how often this shop needed one
     * @param  int  $askedTwoYears  in the last two years
     * @param  int  $onShelf  free pieces there are already
     */
    public function __construct(
        public string $name,
        public string $position,
        public int $price,
        public ?float $runH,
        public ?float $lifeH,
        public int $askedLastYear,
        public int $askedTwoYears,
        public int $onShelf,
    ) {
    }
}
