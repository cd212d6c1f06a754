<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use InvalidArgumentException;
use OddBench\Math\Gamma;

/** How long parts of a kind last: the Weibull distribution (W. Weibull 1951, Journal of Applied Mechanics 18, 293–297). */
final readonly class Weibull
{
    /**
     * @param  float  $shape  above 0; above 1 they wear out, at 1 they fail by chance, below 1 the new ones fail
     * @param  float  $scale  hours by which 63 % have failed, above 0
     */
    private function __construct(public float $shape, public float $scale)
    {
    }

    public static function of(float $shape, float $scale): self
    {
        if ($shape <= 0.0 || $scale <= 0.0 || ! is_finite($shape) || ! is_finite($scale)) {
            throw new InvalidArgumentException('Shape and scale are above 0.');
        }

        return new self($shape, $scale);
    }

    /** @param  float  $mean  hours they last on the average, above 0 */
    public static function withMean(float $shape, float $mean): self
    {
        return self::of($shape, $mean / self::meanOfUnit($shape));
    }

    /** Mean of one with scale 1: Γ(1 + 1/shape). */
    public static function meanOfUnit(float $shape): float
    {
        return exp(Gamma::log(1 + 1 / $shape));
    }

    /** Hours they last on the average. */
    public function mean(): float
    {
        return $this->scale * self::meanOfUnit($this->shape);
    }

    /** Hours by which a share of them has failed, 0 to below 1. */
    public function by(float $share): float
    {
        return $this->scale * (-log1p(-$share)) ** (1 / $this->shape);
    }

    /** The share that still works at an age. */
    public function survival(float $hours): float
    {
        return exp(-$this->cumulative($hours));
    }

    /** (t/scale)^shape: what the hazard sums up to. */
    public function cumulative(float $hours): float
    {
        return $hours <= 0.0 ? 0.0 : ($hours / $this->scale) ** $this->shape;
    }

    /** Failures an hour of those that reached an age above 0. */
    public function hazard(float $hours): float
    {
        return $this->shape / $this->scale * ($hours / $this->scale) ** ($this->shape - 1);
    }

    /**
     * Whether one that works at an age fails within the next hours.
     *
     * @return float 0 to 1
     */
    public function failsWithin(float $age, float $next): float
    {
        return -expm1($this->cumulative($age) - $this->cumulative($age + $next));
    }

    /** Hours it runs on the average when it is changed at an age: the integral of the survival up to there. */
    public function runsUntil(float $hours): float
    {
        return $this->mean() * Gamma::below(1 / $this->shape, $this->cumulative($hours));
    }
}
