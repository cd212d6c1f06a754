<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Intake\JobState;

/** Knows what is still to be mended in a job, which decides what its kits will take. */
interface WorkAhead
{
    /** @return array{faults: list<string>, guides: list<string>} codes of faults not mended, and of guides begun */
    public function of(JobState $state): array;
}
