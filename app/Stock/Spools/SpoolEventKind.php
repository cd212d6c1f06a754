<?php

declare(strict_types=1);

namespace App\Stock\Spools;

/** What happened to a spool. */
enum SpoolEventKind: string
{
    case Opened = 'opened';
    case Weighed = 'weighed';
    case Dried = 'dried';
    case Used = 'used';
    case Job = 'job';
    case Ended = 'ended';
}
