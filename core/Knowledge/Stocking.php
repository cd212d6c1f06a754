<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How a class of part is kept on the shelf. */
final readonly class Stocking
{
    public const USUAL = 0.95;

    /**
     * @param  float  $serviceLevel  share of the times it is asked for that it should be there
     * @param  float|null  $shelfLifeWeeks  how long it keeps; nothing where it does not matter
     */
    public function __construct(public string $partClass, public float $serviceLevel, public ?float $shelfLifeWeeks)
    {
    }
}
