<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/**
 * What changing a part now saves against leaving it alone for a span and changing it as is cheapest from then on: marginal cost
 * analysis (M. Berg 1980, A marginal cost analysis for preventive replacement policies, European Journal of Operational Research 4,
 * 136–142) with the relative value of what is left of it.
 *
 * An hour a part runs is worth what it costs in the long run.
 */
final readonly class ChangeNow
{
    /** Parts in which the span is summed up (Simpson’s rule), even. */
    private const PARTS = 32;

    /** After so many mean times to failure hardly any is left. */
    private const ENOUGH = 40.0;

    /**
     * @param  float  $risk  that it fails within the span, 0 to 1
     * @param  float  $saves  against waiting, were it changed on its own; below 0 when waiting is cheaper
     */
    private function __construct(public float $risk, public float $saves)
    {
    }

    /**
     * @param  float  $planned  what a change costs that is planned, above 0
     * @param  float  $failure  what one costs that comes by itself, above 0
     * @param  float  $age  hours it has, 0 and up
     * @param  float  $ahead  hours of the span, 0 and up
     */
    public static function of(Weibull $life, ChangeAge $policy, float $planned, float $failure, float $age, float $ahead): self
    {
        $risk = $life->failsWithin($age, $ahead);
        $anHour = $policy->costPerHour ?? $policy->toFailure;

        $waits = $risk * $failure + (1 - $risk) * $policy->over($age + $ahead) - $anHour * self::runs($life, $age, $ahead);

        return new self($risk, $waits - $planned);
    }

    /** Hours it runs on the average until it fails or the span is over. */
    public static function runs(Weibull $life, float $age, float $ahead): float
    {
        $hazard = $age > 0.0 ? $life->hazard($age) : 0.0;
        $until = $life->shape > 1.0 && $hazard > 0.0 ? min($ahead, self::ENOUGH / $hazard) : $ahead;
        $at = $life->cumulative($age);
        $sum = 0.0;
        for ($i = 0; $i <= self::PARTS; $i++) {
            $weight = $i === 0 || $i === self::PARTS ? 1 : ($i % 2 === 1 ? 4 : 2);
            $sum += $weight * exp($at - $life->cumulative($age + $until * $i / self::PARTS));
        }

        return $sum * $until / (3 * self::PARTS);
    }
}
