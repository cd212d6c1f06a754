<?php

declare(strict_types=1);

namespace OddBench\Shop;

/** Whether a disk still has room for a shop's work: photographs, logs and the database need some to go on. */
final readonly class DiskRoom
{
    private const LEAST_SHARE = 0.10;

    private const LEAST_BYTES = 2.0e9;

    /**
     * @param  float  $free  bytes left, 0 or more
     * @param  float  $total  bytes it has, over 0
     */
    public function __construct(public float $free, public float $total)
    {
    }

    /** Under a tenth, or under 2 GB (common practice): time to make room before something cannot be kept. */
    public function isLow(): bool
    {
        return $this->free < self::LEAST_BYTES || $this->free < self::LEAST_SHARE * $this->total;
    }

    /** In words, with the figures. */
    public function words(): string
    {
        return sprintf(
            'The disk has %s GB left, %.0f %% of it. Make room before it is full: nothing can be kept then.',
            number_format($this->free / 1e9, 1),
            100 * $this->free / $this->total,
        );
    }
}
