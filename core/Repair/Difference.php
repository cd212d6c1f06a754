<?php

declare(strict_types=1);

namespace OddBench\Repair;

/** Something that came out and is not accounted for. */
final readonly class Difference
{
    /**
     * @param  'fastener'|'connector'|'part'|'pass'  $kind
     * @param  string  $what  a size, a socket, a part
     * @param  list<string>  $steps  where
     */
    public function __construct(
        public string $kind,
        public string $what,
        public int $out,
        public int $in,
        public string $because,
        public array $steps,
    ) {
    }
}
