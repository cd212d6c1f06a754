<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use InvalidArgumentException;

/**
 * How many machines of a look-list were looked at and how many are affected, with the 95 % interval for the share of all
 * that are: the score interval of Wilson (1927, Journal of the American Statistical Association 22, 209–212), which
 * keeps inside 0 and 1 and says something sensible also for one machine looked at.
 */
final readonly class LookCount
{
    /** The 97.5th percentile of the standard normal distribution. */
    private const Z = 1.959963984540054;

    private function __construct(public int $all, public int $looked, public int $affected)
    {
    }

    /**
     * @param  int  $all  machines on the list
     *
     * @throws InvalidArgumentException unless 0 ≤ affected ≤ looked ≤ all
     */
    public static function of(int $all, int $looked, int $affected): self
    {
        if ($affected < 0 || $looked < $affected || $all < $looked) {
            throw new InvalidArgumentException('There are never more affected than looked at, nor more looked at than there are.');
        }

        return new self($all, $looked, $affected);
    }

    /** Share of those looked at, 0 to 1; null while none was. */
    public function share(): ?float
    {
        return $this->looked === 0 ? null : $this->affected / $this->looked;
    }

    /** @return array{float, float}|null between these the share of all lies, 0 to 1; null while none was looked at */
    public function interval(): ?array
    {
        if ($this->looked === 0) {
            return null;
        }
        $n = $this->looked;
        $p = $this->affected / $n;
        $z2 = self::Z ** 2;
        $middle = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = self::Z / (1 + $z2 / $n) * sqrt($p * (1 - $p) / $n + $z2 / (4 * $n * $n));

        return [$this->affected === 0 ? 0.0 : max(0.0, $middle - $half), $this->affected === $n ? 1.0 : min(1.0, $middle + $half)];
    }

    /** One plain sentence with the figures in it. */
    public function because(): string
    {
        $interval = $this->interval();
        if ($interval === null) {
            return sprintf('None of %d looked at yet.', $this->all);
        }
        $left = $this->all - $this->looked;
        $known = sprintf('%d of %d looked at %s affected', $this->affected, $this->looked, $this->affected === 1 ? 'is' : 'are');
        if ($left === 0) {
            return "{$known}; that is all of them.";
        }

        return sprintf(
            '%s: of all such machines between %d %% and %d %% (95 %% interval). %d still to look at.',
            $known,
            (int) floor(100 * $interval[0]),
            (int) ceil(100 * $interval[1]),
            $left,
        );
    }
}
