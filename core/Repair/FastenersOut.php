<?php

declare(strict_types=1);

namespace OddBench\Repair;

/** Fasteners of one size that came off in one step. */
final readonly class FastenersOut
{
    /**
     * @param  int  $count  how many came out
     * @param  int  $missing  how many places were empty when it was opened
     * @param  string|null  $into  metal or plastic: what the thread holds in
     * @param  float|null  $engagementMm  how much thread the original holds by
     * @param  float|null  $roomMm  how much further a longer one may reach
     */
    public function __construct(
        public FastenerSize $size,
        public int $count,
        public int $missing = 0,
        public ?string $into = null,
        public ?float $engagementMm = null,
        public ?float $roomMm = null,
    ) {
    }
}
