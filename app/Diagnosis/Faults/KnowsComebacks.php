<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Intake\Job;
use App\Machines\Machine;

/** Knows which repairs the shop still stands for. */
interface KnowsComebacks
{
    /** The finished job whose mend of this fault is still stood for; nothing when there is none. */
    public function of(Machine $machine, string $fault): ?Job;
}
