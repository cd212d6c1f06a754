<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use RuntimeException;

/** The knowledge files cannot be used; says every mistake at once. */
final class BadKnowledge extends RuntimeException
{
    /** @param  non-empty-list<Mistake>  $mistakes */
    private function __construct(public readonly array $mistakes)
    {
        parent::__construct(implode("\n", array_map(static fn (Mistake $m): string => $m->text(), $mistakes)));
    }

    /** @param  non-empty-list<Mistake>  $mistakes */
    public static function because(array $mistakes): self
    {
        return new self($mistakes);
    }
}
