<?php

declare(strict_types=1);

namespace App\Repair\Tray;

/** What is not accounted for. */
enum DifferenceKind: string
{
    case Fastener = 'fastener';
    case Connector = 'connector';
    case Part = 'part';
    case Pass = 'pass';
}
