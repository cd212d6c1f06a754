<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

/** What is to be done next. */
enum StepKind: string
{
    case Check = 'check';
    case Sweep = 'sweep';
    case Swap = 'swap';
    case Mend = 'mend';
}
