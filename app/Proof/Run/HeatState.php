<?php

declare(strict_types=1);

namespace App\Proof\Run;

/** What is known of the heaters of a printer on a run. */
enum HeatState: string
{
    case Cold = 'cold';
    case Hot = 'hot';
    case Unconfirmed = 'unconfirmed';
    case Off = 'off';
}
