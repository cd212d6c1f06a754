<?php

declare(strict_types=1);

namespace App\Instruments;

/** How an instrument is told something. */
enum InputKind: string
{
    case Number = 'number';
    case Choice = 'choice';
    case Text = 'text';
    case Numbers = 'numbers';
    case Pairs = 'pairs';
    case Points = 'points';
    case Screws = 'screws';
    case File = 'file';
}
