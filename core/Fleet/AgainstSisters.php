<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use InvalidArgumentException;
use OddBench\Math\Beta;

/**
 * Whether a machine comes in more often than its sisters: given all visits, its own are binomial by its share of all hours
 * (J. Przyborowski and H. Wilenski 1940, Biometrika 31, 313–323).
 */
final readonly class AgainstSisters
{
    /**
     * @param  float|null  $between  hours between its visits; nothing without a visit
     * @param  float  $sure  that it comes in more often, 0 to 1: one-sided
     */
    private function __construct(public ?float $between, public ?float $sistersBetween, public float $sure)
    {
    }

    /**
     * @param  float  $hours  it was watched, above 0
     * @param  float  $sisterHours  all of them together, above 0
     */
    public static function of(int $visits, float $hours, int $sisterVisits, float $sisterHours): self
    {
        if ($visits < 0 || $sisterVisits < 0 || $hours <= 0.0 || $sisterHours <= 0.0) {
            throw new InvalidArgumentException('Hours above 0, and no fewer visits than none.');
        }

        return new self(
            $visits === 0 ? null : $hours / $visits,
            $sisterVisits === 0 ? null : $sisterHours / $sisterVisits,
            // 1 − P(at least so many of all visits), by the binomial’s tail as a beta
            $visits === 0 ? 0.0 : 1 - Beta::below($hours / ($hours + $sisterHours), $visits, $sisterVisits + 1),
        );
    }
}
