<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** One thing done at the bench: a check by its code, or a fault mended. */
final readonly class Move
{
    private function __construct(public ?string $check, public ?string $fault)
    {
    }

    public static function look(string $check): self
    {
        return new self($check, null);
    }

    public static function mend(string $fault): self
    {
        return new self(null, $fault);
    }

    public static function giveUp(): self
    {
        return new self(null, null);
    }
}
