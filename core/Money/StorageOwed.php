<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What is owed for a machine nobody fetched. */
final readonly class StorageOwed
{
    /**
     * @param  int  $days  that are charged
     * @param  int  $storage  for them, minor units
     * @param  int  $sum  with what the job was charged
     */
    public function __construct(public int $days, public int $storage, public int $sum, public string $because)
    {
    }
}
