<?php

declare(strict_types=1);

namespace App\Machines;

/** Where a reading of a counter came from. */
enum CounterSource: string
{
    case Booking = 'booking';
    case Typed = 'typed';
    case Table = 'table';
    case Printer = 'printer';
}
