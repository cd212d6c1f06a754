<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Knowledge\Heat;

/** What goes by itself in a job now. */
final readonly class Running
{
    /**
     * @param  int  $minutes  that are left, 0 and up
     * @param  Heat|null  $heat  of the machine meanwhile; null where nobody has said
     * @param  bool  $oven  in the shop’s oven or dryer, without the machine
     */
    public function __construct(public string $name, public int $minutes, public ?Heat $heat = null, public bool $oven = false)
    {
    }
}
