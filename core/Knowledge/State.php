<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** The state a machine must be in for a check. */
enum State: string
{
    case Cold = 'cold';
    case Unplugged = 'unplugged';
    case Open = 'open';
    case Powered = 'powered';
    case Hot = 'hot';

    public function needsPower(): bool
    {
        return $this === self::Powered || $this === self::Hot;
    }

    /** Minutes of hands and waiting until a cold, closed machine is in it (common practice). */
    public function minutesToReach(): float
    {
        return match ($this) {
            self::Cold => 0.0,
            self::Unplugged => 0.5,
            self::Powered => 1.0,
            self::Hot => 4.0,
            self::Open => 4.0,
        };
    }
}
