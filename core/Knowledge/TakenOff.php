<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** What comes off in a step of a guide, and how it goes back on; it becomes a step of the teardown. */
final readonly class TakenOff
{
    /**
     * @param  string  $fasteners  as typed at the bench, e.g. “4 M3x12”; empty for none
     * @param  list<string>  $sockets  what is unplugged
     * @param  list<string>  $parts  what is taken out
     * @param  bool  $independent  it needs nothing before it to be off
     */
    public function __construct(
        public string $what,
        public string $fasteners,
        public array $sockets,
        public array $parts,
        public bool $independent,
        public ?string $wayRound,
        public ?string $undoFirst,
        public ?string $firstPass,
        public ?string $secondPass,
        public ?string $check,
    ) {
    }
}
