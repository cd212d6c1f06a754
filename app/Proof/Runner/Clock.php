<?php

declare(strict_types=1);

namespace App\Proof\Runner;

/** Seconds on a clock that nobody sets: the same for all processes of this machine, and of no meaning beyond its next start. */
final class Clock
{
    public static function s(): float
    {
        return hrtime(true) / 1e9;
    }
}
