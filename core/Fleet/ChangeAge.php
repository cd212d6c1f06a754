<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Math\Root;

/**
 * At which age a part that wears out is changed before it fails: age replacement (R. E. Barlow and L. Hunter 1960, Optimum
 * preventive maintenance policies, Operations Research 8, 90–100). The least of (planned·R(T) + failure·F(T)) / ∫₀ᵀR.
 */
final readonly class ChangeAge
{
    /** Ages that cost so little more than the best are as good. */
    private const FLAT = 1.01;

    /**
     * @param  float|null  $at  hours; nothing when it is not changed by the clock
     * @param  float|null  $costPerHour  changed at that age
     * @param  float  $toFailure  cost an hour when it is run until it fails
     * @param  array{float, float}|null  $flat  between these ages it costs within 1 % of the best
     */
    private function __construct(
        public ?float $at,
        public ?float $costPerHour,
        public float $toFailure,
        public ?array $flat,
        private ChangeWhy $why,
        private Weibull $life,
        private float $planned,
        private float $failure,
    ) {
    }

    /**
     * @param  float  $planned  what a planned change costs, above 0
     * @param  float  $failure  what one costs that comes by itself, with what it takes along, above 0
     */
    public static function of(Weibull $life, float $planned, float $failure): self
    {
        $toFailure = $failure / $life->mean();
        if ($life->shape <= 1.0) {
            return new self(null, null, $toFailure, null, ChangeWhy::NoWear, $life, $planned, $failure);
        }
        if ($failure <= $planned) {
            return new self(null, null, $toFailure, null, ChangeWhy::AsDear, $life, $planned, $failure);
        }
        $cost = static fn (float $at): float => ($planned * $life->survival($at) + $failure * (1 - $life->survival($at)))
            / $life->runsUntil($at);
        // zero where the cost is least: h(T)·∫R − F(T) = planned / (failure − planned); it rises with T
        $slope = static fn (float $log): float => $life->hazard(exp($log)) * $life->runsUntil(exp($log))
            - (1 - $life->survival(exp($log))) - $planned / ($failure - $planned);
        $low = log($life->by(1e-12));
        $high = log($life->by(0.999_999));
        if ($slope($low) >= 0.0 || $slope($high) <= 0.0) {
            return new self(null, null, $toFailure, null, ChangeWhy::NeverPays, $life, $planned, $failure);
        }
        $at = exp(Root::between($slope, $low, $high));
        $best = $cost($at);
        $over = static fn (float $log): float => $cost(exp($log)) - self::FLAT * $best;
        $after = $over($high) <= 0.0 ? exp($high) : exp(Root::between($over, log($at), $high));

        $flat = [exp(Root::between($over, $low, log($at))), $after];

        return new self($at, $best, $toFailure, $flat, ChangeWhy::Pays, $life, $planned, $failure);
    }

    /** Whether it is changed by the clock: only where it wears out, and where waiting for it costs more. */
    public function byTheClock(): bool
    {
        return $this->at !== null;
    }

    /**
     * What a part of an age costs in the long run over a new one, when it is changed as it is cheapest: what it costs until it is new
     * again, less what its hours until then are worth (the relative value of a renewal process: S. M. Ross 1970, Applied Probability
     * Models with Optimization Applications, chapters 3 and 7). 0 for a new one, the planned cost from the cheapest age on.
     *
     * @param  float  $age  hours, 0 and up
     */
    public function over(float $age): float
    {
        if ($this->at !== null && $this->costPerHour !== null) {
            if ($age >= $this->at) {
                return $this->planned;
            }
            $left = $this->life->survival($age);
            $kept = $this->life->survival($this->at) / $left;

            return $this->planned * $kept + $this->failure * (1 - $kept)
                - $this->costPerHour * ($this->life->runsUntil($this->at) - $this->life->runsUntil($age)) / $left;
        }
        $left = $this->life->survival($age);
        // where hardly any gets to, the next failure comes at once
        $runs = $left > 1e-9 ? ($this->life->mean() - $this->life->runsUntil($age)) / $left : 1 / $this->life->hazard($age);

        return $this->failure - $this->toFailure * $runs;
    }

    /** One plain sentence. */
    public function because(): string
    {
        return $this->flat === null || $this->at === null ? $this->why->words() : sprintf(
            'Change it at about %s; anywhere from %s to %s costs within 1 %% of that.',
            Hours::words($this->at),
            Hours::words($this->flat[0]),
            Hours::words($this->flat[1]),
        );
    }
}
