<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What each way with a broken machine brings, in minor units. */
final readonly class RepairWorth
{
    /** @param  int|null  $flipsAt  further cost at which another way is as good as mending; null when none is low enough */
    public function __construct(
        public int $mend,
        public int $split,
        public int $asIs,
        public WhatToDo $best,
        public ?int $flipsAt,
        public string $because,
    ) {
    }
}
