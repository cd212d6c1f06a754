<?php

declare(strict_types=1);

namespace App\Proof\Run;

/** What is known of the heaters of a printer on a run. */
enum HeatState: string
{
    case Cold = 'cold';
    case Hot = 'hot';
    /** Told to be off, which the printer has confirmed; not yet seen to cool. */
    case Cooling = 'cooling';
    case Unconfirmed = 'unconfirmed';
    case Off = 'off';

    /** Those in which a heater may be on: nobody else speaks with that printer. */
    public const MAY_BE_ON = ['hot', 'cooling', 'unconfirmed'];

    public static function mayBeOn(mixed $heat): bool
    {
        return in_array($heat, self::MAY_BE_ON, true);
    }
}
