<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/**
 * Which machine of a campaign is looked at first: those that run before those that stand, and of each the one that is likeliest to
 * have it where it does most harm (risk × harm, common practice).
 */
final readonly class LookFirst
{
    /** Where nobody of the trade stands beside it, a dangerous fault does so many times the harm (from memory). */
    private const UNWATCHED = 2.0;

    /** A machine nobody knows the risk of is not looked at last. */
    private const UNKNOWN_RISK = 0.1;

    private function __construct(public bool $runs, public float $weight)
    {
    }

    /**
     * @param  bool  $runs  it is in use, as far as anybody knows
     * @param  float|null  $risk  0 to 1; nothing when nobody knows
     */
    public static function of(bool $runs, ?float $risk, float $harm): self
    {
        return new self($runs, ($risk ?? self::UNKNOWN_RISK) * $harm);
    }

    /** @param  bool  $atOwner  it stands with its owner, who does not know */
    public static function harm(bool $dangerous, bool $atOwner): float
    {
        return $dangerous && $atOwner ? self::UNWATCHED : 1.0;
    }

    /** Below 0 when this one is looked at before the other. */
    public function against(self $other): int
    {
        return [$other->runs, $other->weight] <=> [$this->runs, $this->weight];
    }
}
