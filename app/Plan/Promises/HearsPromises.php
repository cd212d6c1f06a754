<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Intake\HearsPromise;
use App\Intake\Job;
use App\Shop\Person;

final class HearsPromises implements HearsPromise
{
    public function promised(Job $job, string $kind, Person $by): void
    {
        NotePromise::dispatch($job->id, $kind, $by->id);
    }
}
