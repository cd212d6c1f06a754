<?php

declare(strict_types=1);

namespace OddBench\Intake;

/** Why a machine comes to the bench. */
enum JobKind: string
{
    case Repair = 'repair';
    case Service = 'service';
    case Upgrade = 'upgrade';
    case Inspection = 'inspection';
    case Refurbish = 'refurbish';

    /** Something is broken, so Find ends with a fault or with the reason why there is none. */
    public function looksForFault(): bool
    {
        return $this === self::Repair;
    }
}
