<?php

declare(strict_types=1);

namespace App\Scan;

/** What a scan found. */
enum HitKind: string
{
    case Machine = 'machine';
    case Job = 'job';
    case Part = 'part';
    case Spool = 'spool';
}
