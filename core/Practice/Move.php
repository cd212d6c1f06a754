<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** One thing done at the bench: checks by their codes, a fault mended, or the machine handed to somebody else. */
final readonly class Move
{
    /** @param  list<string>  $checks */
    private function __construct(public array $checks, public ?string $fault)
    {
    }

    /** Checks to be made, one sweep. */
    public static function look(string ...$checks): self
    {
        return new self(array_values($checks), null);
    }

    /** A fault to be mended, by its code. */
    public static function mend(string $fault): self
    {
        return new self([], $fault);
    }

    /** Nothing is left to look at or to mend on one’s own: a second person looks at it. */
    public static function handOver(): self
    {
        return new self([], null);
    }
}
