<?php

declare(strict_types=1);

namespace OddBench\Repair;

/** A screw that went in where another came out, judged. */
final readonly class Substitute
{
    public function __construct(
        public string $step,
        public string $insteadOf,
        public string $fitted,
        public bool $safe,
        public string $because,
    ) {
    }
}
