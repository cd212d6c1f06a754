<?php

declare(strict_types=1);

namespace OddBench\Plan;

/**
 * What a plan is judged by: steps that find no time at all, then weighted lateness, then the sum of all completion times, then when
 * all is over. Less is better.
 */
final readonly class Score
{
    /** Weights are no whole numbers: so little is no difference. */
    private const SAME = 1e-6;

    public function __construct(public int $left, public float $lateness, public int $completion, public int $end)
    {
    }

    /** Below zero when this one is better, zero when they are as good. */
    public function against(self $other): int
    {
        if ($this->left !== $other->left) {
            return $this->left <=> $other->left;
        }
        $late = $this->lateness - $other->lateness;

        return abs($late) > self::SAME ? $late <=> 0.0 : [$this->completion, $this->end] <=> [$other->completion, $other->end];
    }
}
