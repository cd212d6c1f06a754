<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Input\InputError;

/**
 * How many of a part there are and what they are worth together, at moving average cost: what comes adds its own cost, what
 * goes takes its share of the whole.
 */
final readonly class Holding
{
    /** A cost so many times the average is rather that of a pack, or of a hundredth. */
    private const TIMES = 20;

    /**
     * @param  int  $count  pieces, never below zero
     * @param  int  $value  of all of them, in minor units of money
     */
    public function __construct(public int $count, public int $value)
    {
    }

    /** What one is worth, rounded to a whole minor unit; 0 when there are none. */
    public function each(): int
    {
        return $this->count === 0 ? 0 : (int) round($this->value / $this->count);
    }

    /** Whether what one is said to cost is rather a slip: the price of a pack, or in hundredths. */
    public function odd(?int $cost): bool
    {
        $each = $this->each();

        return $cost !== null && $each > 0 && ($cost > $each * self::TIMES || $cost * self::TIMES < $each);
    }

    /** What so many of them are worth; the last ones take what is left, so that nothing is lost to rounding. */
    public function share(int $of): int
    {
        return $of === $this->count ? $this->value : (int) round($this->value * $of / max(1, $this->count));
    }

    /**
     * @param  int  $change  pieces, below zero when they go
     * @param  int|null  $value  what those that come are worth; nothing for the average
     *
     * @throws InputError when more would go than there are
     */
    public function after(int $change, ?int $value = null): self
    {
        if ($this->count + $change < 0) {
            throw InputError::at('quantity', sprintf('There are %d, and %d would go.', $this->count, -$change));
        }

        return new self(
            $this->count + $change,
            $this->value + ($change < 0 ? -$this->share(-$change) : ($value ?? $change * $this->each())),
        );
    }
}
