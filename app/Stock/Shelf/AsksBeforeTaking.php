<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Intake\Job;
use App\Stock\Parts\Part;

/** Knows whether somebody has to be asked before a job takes a part. */
interface AsksBeforeTaking
{
    /** @return string|null what is asked, in words; null when nothing stands against it */
    public function asks(Job $job, Part $part, int $quantity): ?string;
}
