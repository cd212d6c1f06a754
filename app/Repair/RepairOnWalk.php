<?php

declare(strict_types=1);

namespace App\Repair;

use App\Intake\JobState;
use App\Intake\SaysOfWalk;
use App\Repair\Tray\TrayQuery;

/** A job leaves Fix with every confirmed fault mended and every part and screw of its tray accounted for. */
final readonly class RepairOnWalk implements SaysOfWalk
{
    public function __construct(private TrayQuery $tray)
    {
    }

    public function ofWalk(JobState $state): array
    {
        $work = WorkOnJob::of($state);

        return ['workNoted' => $work->unmended($state) === [], 'notAccounted' => $this->tray->open($work)];
    }
}
