<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Database\Eloquent\ModelNotFoundException;

/** Puts a job’s screen together: every write to a job is answered with it. The screen stands above the rooms. */
interface ShowJob
{
    /** @throws ModelNotFoundException<Job> */
    public function of(int $id): JobView;
}
