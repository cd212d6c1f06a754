<?php

declare(strict_types=1);

namespace App\Machines;

/** What a mark on a paper points at. */
enum MarkKind: string
{
    case Position = 'position';
    case Socket = 'socket';
}
