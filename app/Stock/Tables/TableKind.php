<?php

declare(strict_types=1);

namespace App\Stock\Tables;

/** What a table is of. */
enum TableKind: string
{
    case Parts = 'parts';
    case Stock = 'stock';
    case Movements = 'movements';
}
