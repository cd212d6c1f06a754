<?php

declare(strict_types=1);

namespace App\Stock\Tables;

/** What would become of a row of a table. */
enum Fate: string
{
    case New = 'new';
    case Changed = 'changed';
    case Same = 'same';
    case Moves = 'moves';
    case Odd = 'odd';
    case Wrong = 'wrong';
}
