<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use OddBench\Stock\Foretold;

/** Knows the parts that are in use, and how many of them are going to fail. */
interface ForetellsUse
{
    /**
     * @param  array<int, float>  $weeks  part id => weeks until an order of today is here
     * @return array<int, Foretold> part id =>; those of which something is known
     */
    public function of(array $weeks): array;
}
