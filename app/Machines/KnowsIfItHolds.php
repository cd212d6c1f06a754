<?php

declare(strict_types=1);

namespace App\Machines;

/** Knows of a machine whether it comes in too often. */
interface KnowsIfItHolds
{
    /**
     * @param  float  $hours  print hours a mend is stood for
     * @return array{chance: float, because: string}|null that it runs so long without coming in, 0 to 1; nothing where it holds as others
     */
    public function of(Machine $machine, float $hours): ?array;
}
