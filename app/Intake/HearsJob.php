<?php

declare(strict_types=1);

namespace App\Intake;

/** Who must know that a job changed. */
interface HearsJob
{
    /** Inside the running write. */
    public function changed(Job $job): void;
}
