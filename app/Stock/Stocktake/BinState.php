<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

/** How far the count of a bin is. */
enum BinState: string
{
    case Waiting = 'waiting';
    case Begun = 'begun';
    case Done = 'done';
}
