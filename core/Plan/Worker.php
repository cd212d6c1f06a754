<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** Somebody who works at the bench: when they are free, and what they may do. */
final readonly class Worker
{
    /**
     * @param  list<array{int, int}>  $free  spans in minutes from when the plan begins, in order, apart from each other
     * @param  list<string>  $rights  such as “mains” or “lead”
     */
    public function __construct(public string $name, public array $free, public array $rights = [])
    {
    }

    /** Whether this person may do a step. */
    public function may(Step $step): bool
    {
        return ($step->who === null || $step->who === $this->name) && array_diff($step->rights, $this->rights) === [];
    }

    /** The longest span in a row, minutes. */
    public function longest(): int
    {
        return array_reduce($this->free, static fn (int $most, array $span): int => max($most, $span[1] - $span[0]), 0);
    }
}
