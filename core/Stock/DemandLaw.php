<?php

declare(strict_types=1);

namespace OddBench\Stock;

use InvalidArgumentException;

/**
 * How many of a part are asked for over a time: Poisson when mean and variance agree within a tenth, else negative binomial
 * with the same mean and variance (common practice for spare parts; method of moments).
 */
final readonly class DemandLaw
{
    private const MOST_MEAN = 2e7;

    /** A variance up to this many times the mean is that of chance alone. */
    public const AGREES = 1.1;

    /** @param  float|null  $size  r of the negative binomial; nothing for Poisson */
    private function __construct(public float $mean, public ?float $size)
    {
    }

    /**
     * @param  float  $mean  0 to 20 million
     * @param  float  $variance  from 0 on; below the mean it counts as the mean
     */
    public static function of(float $mean, float $variance): self
    {
        if ($mean < 0 || $mean > self::MOST_MEAN || $variance < 0 || ! is_finite($variance)) {
            throw new InvalidArgumentException('A mean of 0 to 20 million and a variance from 0 on.');
        }

        return new self($mean, $mean == 0.0 || $variance <= $mean * self::AGREES ? null : $mean ** 2 / ($variance - $mean));
    }

    /**
     * What is asked for over a time when only a history is known: its rate has the posterior Gamma(events + ½, weeks) of Jeffreys’
     * prior, so the demand is negative binomial (Gelman and others, Bayesian Data Analysis, 3rd ed., 2.6 and 2.8). Few events
     * are few: they leave room for a rate several times as high.
     *
     * @param  float  $events  above 0
     * @param  float  $weeks  the history’s length, above 0
     * @param  float  $over  weeks looked ahead
     * @param  float  $moreVariance  beyond the rate’s and the counting’s own: of lots, and of a time that wavers
     */
    public static function afterFew(float $events, float $weeks, float $over, float $moreVariance): self
    {
        $size = $events + 0.5;
        $mean = $size / $weeks * $over;
        if ($mean <= 0.0) {
            return new self(0.0, null);
        }

        return new self($mean, $mean ** 2 / ($mean ** 2 / $size + max(0.0, $moreVariance)));
    }

    public function variance(): float
    {
        return $this->mean + ($this->size === null ? 0.0 : $this->mean ** 2 / $this->size);
    }

    /** An upper bound of every quantile, by Cantelli’s inequality: how far counting up to it can go. */
    public function furthest(float $p): float
    {
        return $this->mean + sqrt($this->variance() * $p / (1 - $p));
    }

    /** poisson, or negative-binomial where demand wavers more than its mean. */
    public function name(): string
    {
        return $this->size === null ? 'poisson' : 'negative-binomial';
    }

    /** P(demand ≤ n). */
    public function atMost(int $n): float
    {
        $sum = 0.0;
        foreach ($this->terms() as $k => $p) {
            // past the mean the terms fall: what is below the last digit of the sum adds nothing to it
            if ($k > $n || ($k > $this->mean && $p < 1e-18)) {
                break;
            }
            $sum += $p;
        }

        return $n < 0 ? 0.0 : min(1.0, $sum);
    }

    /**
     * The smallest n with P(demand ≤ n) ≥ p.
     *
     * @param  float  $p  0 to below 1
     */
    public function quantile(float $p): int
    {
        if ($p < 0 || $p >= 1) {
            throw new InvalidArgumentException('A share of 0 to below 1.');
        }
        $sum = 0.0;
        foreach ($this->terms() as $k => $term) {
            $sum += $term;
            // what is lost in the last digits of the sum must not keep it from its end
            if ($sum >= $p - 1e-12) {
                return $k;
            }
        }

        return 0;
    }

    /** @return \Generator<int, float> P(demand = k) for k = 0, 1, 2, …; in logarithms, so that large means do not vanish */
    private function terms(): \Generator
    {
        if ($this->mean == 0.0) {
            yield 0 => 1.0;

            return;
        }
        $log = $this->size === null ? -$this->mean : $this->size * (log($this->size) - log($this->size + $this->mean));
        for ($k = 0; ; $k++) {
            yield $k => exp($log);
            $log += $this->size === null
                ? log($this->mean / ($k + 1))
                : log(($k + $this->size) / ($k + 1) * $this->mean / ($this->mean + $this->size));
        }
    }
}
