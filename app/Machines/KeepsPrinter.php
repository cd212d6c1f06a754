<?php

declare(strict_types=1);

namespace App\Machines;

/** A room that may have a reason why nobody else speaks with a machine’s printer just now. */
interface KeepsPrinter
{
    public const TAG = 'keeps printer';

    /** @return string|null why it is not asked, in words */
    public function reasonNotToAsk(Machine $machine): ?string;
}
