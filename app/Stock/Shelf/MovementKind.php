<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

/** Why stock changed. */
enum MovementKind: string
{
    case Received = 'received';
    case Used = 'used';
    case Returned = 'returned';
    case Counted = 'counted';
    case Scrapped = 'scrapped';
    case Salvaged = 'salvaged';
    case Made = 'made';
    case Moved = 'moved';
}
