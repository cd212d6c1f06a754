<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Intake\JobState;

/** Knows what is still to be mended in a job, which decides what its kits will take. */
interface WorkAhead
{
    /**
     * @return array{faults: list<string>, guides: list<string>, classes: array<string, int>} codes of faults not mended, of guides
     *   begun, and classes of part that are to be changed before they fail
     */
    public function of(JobState $state): array;
}
