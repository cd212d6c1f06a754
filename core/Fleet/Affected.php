<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use Closure;
use InvalidArgumentException;
use OddBench\Math\Gamma;

/**
 * Between how many machines of a fleet are affected when some were looked at: exact bounds of the hypergeometric distribution,
 * each end with half of what is left to chance (T. Wright 1991, Exact Confidence Bounds when Sampling from Small Finite
 * Universes; the same argument as Clopper and Pearson 1934 for an endless one).
 */
final readonly class Affected
{
    private function __construct(public int $fleet, public int $looked, public int $affected, public int $least, public int $most)
    {
    }

    /** @param  float  $level  0 to below 1: how sure the bounds are */
    public static function of(int $fleet, int $looked, int $affected, float $level): self
    {
        if ($affected < 0 || $looked < $affected || $fleet < $looked || $level < 0.0 || $level >= 1.0) {
            throw new InvalidArgumentException('There are never more affected than looked at, nor more looked at than there are.');
        }
        $rest = (1 - $level) / 2;
        // of those not looked at all may be affected, or none; the more of them are, the likelier to have seen so many or more
        $all = $fleet - $looked + $affected;
        $least = self::first($affected, $all, static fn (int $of): bool => self::atLeast($fleet, $looked, $of, $affected) > $rest);
        $past = self::first($least, $all + 1, static fn (int $of): bool => self::atMost($fleet, $looked, $of, $affected) <= $rest);

        return new self($fleet, $looked, $affected, $least, max($least, $past - 1));
    }

    /** Whether what is known stays the same whatever the rest shows: as good as all are told apart. */
    public function settled(): bool
    {
        return $this->least === $this->most;
    }

    /**
     * How many more looks would settle it, if those find affected ones as often as those before; all that are left at most.
     */
    public function looksToSettle(float $level): int
    {
        if ($this->settled()) {
            return 0;
        }
        $share = $this->looked === 0 ? 0.0 : $this->affected / $this->looked;
        $left = $this->fleet - $this->looked;

        return self::first(1, $left, fn (int $more): bool => self::of(
            $this->fleet,
            $this->looked + $more,
            $this->affected + (int) round($more * $share),
            $level,
        )->settled());
    }

    /** One plain sentence. */
    public function because(): string
    {
        if ($this->looked === 0) {
            return sprintf('None of %d looked at yet.', $this->fleet);
        }
        $left = $this->fleet - $this->looked;
        $seen = sprintf('%d of %d looked at %s affected', $this->affected, $this->looked, $this->affected === 1 ? 'is' : 'are');

        return match (true) {
            $left === 0 => "{$seen}; that is all of them.",
            $this->settled() => sprintf('%s: that is all there are (95 %%), though %d were not looked at.', $seen, $left),
            default => sprintf(
                '%s: of all %d between %d and %d (95 %%). %d still to look at.',
                $seen,
                $this->fleet,
                $this->least,
                $this->most,
                $left,
            ),
        };
    }

    /**
     * The first from low on of which it holds, at most high: it holds from there on.
     *
     * @param  Closure(int): bool  $holds
     */
    private static function first(int $low, int $high, Closure $holds): int
    {
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $holds($middle) ? [$low, $middle] : [$middle + 1, $high];
        }

        return $low;
    }

    /** P(at most so many seen), when so many of the fleet are affected. */
    private static function atMost(int $fleet, int $looked, int $all, int $seen): float
    {
        // the tail away from the mean is summed: the other one is what it leaves
        return $seen * $fleet < $looked * $all
            ? self::tail($fleet, $looked, $all, $seen, -1)
            : 1 - self::tail($fleet, $looked, $all, $seen + 1, 1);
    }

    private static function atLeast(int $fleet, int $looked, int $all, int $seen): float
    {
        return $seen <= 0 ? 1.0 : 1 - self::atMost($fleet, $looked, $all, $seen - 1);
    }

    /** From k on in one direction, term by term until they are nothing. */
    private static function tail(int $fleet, int $looked, int $all, int $k, int $way): float
    {
        [$from, $to] = [max(0, $looked - $fleet + $all), min($all, $looked)];
        if ($k < $from || $k > $to) {
            return 0.0;
        }
        $term = exp(self::choose($all, $k) + self::choose($fleet - $all, $looked - $k) - self::choose($fleet, $looked));
        $sum = $term;
        while (($way > 0 ? $k < $to : $k > $from) && $term > 1e-18 * $sum) {
            $term *= $way > 0
                ? ($all - $k) * ($looked - $k) / (($k + 1) * ($fleet - $all - $looked + $k + 1))
                : $k * ($fleet - $all - $looked + $k) / (($all - $k + 1) * ($looked - $k + 1));
            $sum += $term;
            $k += $way;
        }

        return min(1.0, $sum);
    }

    /** Logarithm of the ways to take k of n. */
    private static function choose(int $n, int $k): float
    {
        return Gamma::log($n + 1.0) - Gamma::log($k + 1.0) - Gamma::log($n - $k + 1.0);
    }
}
