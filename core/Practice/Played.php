<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** How the search for a machine’s faults went. */
final readonly class Played
{
    /**
     * @param  float  $minutes  bench minutes until the last true fault was settled: every look with the way into its state, every
     *   mend that was none
     * @param  float  $rightMinutes  the minutes of the mends that were right; the same whichever way is taken
     * @param  list<string>  $looks  checks in the order they were done
     * @param  list<string>  $wrong  faults mended in vain
     * @param  list<string>  $gravelyWrong  those of them that are dangerous or for qualified people only, and that it has not got at all
     * @param  bool  $handed  handed to a second person on the way
     */
    public function __construct(
        public BrokenMachine $machine,
        public float $minutes,
        public float $rightMinutes,
        public array $looks,
        public array $wrong,
        public bool $settled,
        public array $gravelyWrong = [],
        public bool $handed = false,
    ) {
    }
}
