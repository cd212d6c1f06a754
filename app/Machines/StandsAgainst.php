<?php

declare(strict_types=1);

namespace App\Machines;

/** A room that may have a reason why a machine cannot simply be said to be somewhere else. */
interface StandsAgainst
{
    public const TAG = 'stands against';

    /** @return string|null why it is not put there by hand, in words */
    public function moving(Machine $machine, string $place): ?string;
}
