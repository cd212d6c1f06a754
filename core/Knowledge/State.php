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

    /** Whether a machine must be switched on for it. */
    public function needsPower(): bool
    {
        return $this === self::Powered || $this === self::Hot;
    }
}
