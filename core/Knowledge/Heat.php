<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Which way round the heat is at a step of a guide. */
enum Heat: string
{
    case Cold = 'cold';
    case Hot = 'hot';
    case Falling = 'falling';

    /** As a person says how hot a part gets. */
    public function words(): string
    {
        return match ($this) {
            self::Cold => 'below 50 °C',
            self::Hot => 'hot on purpose',
            self::Falling => 'heater off, still hot',
        };
    }
}
