<?php

declare(strict_types=1);

namespace App\Bench;

/** What the jobs of a group wait for. */
enum GroupCode: string
{
    case HandsOn = 'hands-on';
    case Ready = 'ready';
    case Itself = 'itself';
    case Waiting = 'waiting';
    case ToGo = 'to-go';
}
