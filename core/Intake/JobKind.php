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
}
