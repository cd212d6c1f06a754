<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** How often a fault shows a finding: four words of the trade and the probability each stands for. */
enum Strength: string
{
    case Always = 'A';
    case Often = 'O';
    case Sometimes = 'S';
    case Rarely = 'R';

    /** How often the fault shows this finding, above 0 and below 1. */
    public function probability(): float
    {
        return match ($this) {
            self::Always => 0.9,
            self::Often => 0.65,
            self::Sometimes => 0.3,
            self::Rarely => 0.1,
        };
    }

    /** A letter, or a probability above 0 and up to 1 where somebody has counted; null when it is neither. */
    public static function read(mixed $given): ?float
    {
        if (is_string($given)) {
            return self::tryFrom($given)?->probability();
        }

        return (is_int($given) || is_float($given)) && $given > 0 && $given <= 1 ? (float) $given : null;
    }
}
