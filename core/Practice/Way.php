<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** A way of working at a broken machine: says what is done next. */
interface Way
{
    /**
     * @param  array<string, 'present'|'absent'>  $findings  what is known by now
     * @param  list<string>  $done  checks done
     * @param  list<string>  $ruledOut  faults mended or changed for in vain, or mended already
     */
    public function next(BrokenMachine $machine, array $findings, array $done, array $ruledOut): Move;
}
