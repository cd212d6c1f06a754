<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use InvalidArgumentException;

/** One part’s hours in a position: until it failed, or until now while it runs. */
final readonly class Life
{
    /**
     * @param  float  $hours  above 0
     * @param  bool  $failed  otherwise it runs, or was taken out while it still worked
     * @param  float  $entered  hours it had when it was first seen, 0 for a new one, below its hours
     */
    private function __construct(public float $hours, public bool $failed, public float $entered)
    {
    }

    public static function failed(float $hours, float $entered = 0.0): self
    {
        return self::of($hours, true, $entered);
    }

    public static function running(float $hours, float $entered = 0.0): self
    {
        return self::of($hours, false, $entered);
    }

    private static function of(float $hours, bool $failed, float $entered): self
    {
        if ($hours <= 0.0 || $entered < 0.0 || $entered >= $hours) {
            throw new InvalidArgumentException('A life is above 0 h, and began before it ended.');
        }

        return new self($hours, $failed, $entered);
    }
}
