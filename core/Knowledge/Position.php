<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A place in a machine where a wear part sits. */
final readonly class Position
{
    /**
     * @param  string  $subsystem  what must be proved after it is changed
     * @param  string  $partClass  the class of part that fits
     * @param  int  $faces  how many faces a profile has that can run; 1 where nothing can be turned
     * @param  float|null  $lifeHours  this family’s own usual life; nothing for the part class’s
     * @param  int  $count  how many pieces sit in it at most
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $subsystem,
        public string $partClass,
        public int $faces = 1,
        public ?float $lifeHours = null,
        public int $count = 1,
    ) {
    }
}
