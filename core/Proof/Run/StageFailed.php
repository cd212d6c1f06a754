<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use RuntimeException;

/** A stage that did not pass: what failed, by how much, and what it is evidence of. */
final class StageFailed extends RuntimeException
{
    private function __construct(string $because, public readonly ?string $finding, public readonly bool $danger)
    {
        parent::__construct($because);
    }

    /** @param  string|null  $finding  code */
    public static function because(string $because, ?string $finding, bool $danger = false): self
    {
        return new self($because, $finding, $danger);
    }
}
