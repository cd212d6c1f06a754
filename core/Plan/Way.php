<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A way to do a step: by whom, and how long that takes. */
final readonly class Way
{
    /**
     * @param  int  $worker  place in the list of people; -1 for nobody
     * @param  int  $keeps  minutes that person can do nothing else
     * @param  int  $hands  minutes of them with hands on it
     * @param  int  $whole  minutes until it is over
     */
    public function __construct(public int $worker, public int $keeps, public int $hands, public int $whole)
    {
    }
}
