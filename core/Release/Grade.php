<?php

declare(strict_types=1);

namespace OddBench\Release;

/** How much life a machine for sale has left, plainly said. */
enum Grade: string
{
    case Fresh = 'fresh';
    case Good = 'good';
    case Used = 'used';
    case Worn = 'worn';

    /** The grade in a word, as it stands on a sheet. */
    public function words(): string
    {
        return match ($this) {
            self::Fresh => 'Hardly used',
            self::Good => 'Good',
            self::Used => 'Used',
            self::Worn => 'Worn',
        };
    }

    /** What a buyer may expect of a machine of this grade. */
    public function means(): string
    {
        return match ($this) {
            self::Fresh => 'No wearing part has run more than a quarter of its usual life, nozzle and the like apart.',
            self::Good => 'No wearing part has run more than seven tenths of its usual life, nozzle and the like apart.',
            self::Used => 'It runs as it should. Something is due before long, is not known, or stays as it is: see below.',
            self::Worn => 'It runs as it should, and at least one part is past its usual life: plan to change it.',
        };
    }

    /** Whether this is a better grade than another. */
    public function betterThan(self $other): bool
    {
        return array_search($this, self::cases(), true) < array_search($other, self::cases(), true);
    }
}
