<?php

declare(strict_types=1);

namespace App\Intake;

/** What other visits left behind: no write to this job changes it, so it is read once for as long as the write lasts. */
interface PartOfOthers extends JobPart
{
}
