<?php

declare(strict_types=1);

namespace App\Proof\Run;

/** How a stage of a run stands. */
enum StageStanding: string
{
    case Passed = 'passed';
    case Failed = 'failed';
    case Now = 'now';
    case Later = 'later';
}
