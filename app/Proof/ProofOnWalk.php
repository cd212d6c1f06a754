<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\JobState;
use App\Intake\SaysOfWalk;

/** A job is sent out with every proof passed that its work owes. */
final readonly class ProofOnWalk implements SaysOfWalk
{
    public function __construct(private OwedQuery $owed)
    {
    }

    public function ofWalk(JobState $state): array
    {
        return ['missingProofs' => $this->owed->missingNames($state)];
    }
}
