<?php

declare(strict_types=1);

namespace App\Proof\Run;

/** How a run stands. */
enum RunState: string
{
    case None = 'none';
    case Waiting = 'waiting';
    case Running = 'running';
    case Asking = 'asking';
    case Passed = 'passed';
    case Failed = 'failed';
    case Stopped = 'stopped';
    case Lost = 'lost';
}
