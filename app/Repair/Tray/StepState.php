<?php

declare(strict_types=1);

namespace App\Repair\Tray;

/** Where what was taken off is. */
enum StepState: string
{
    case Off = 'off';
    case First = 'first';
    case Back = 'back';
}
