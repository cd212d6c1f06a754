<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\HearsLeaving;
use App\Shop\Person;

/** Whoever leaves has no hands on anything any more. */
final readonly class HandsDown implements HearsLeaving
{
    public function __construct(private Hands $hands)
    {
    }

    public function left(Person $person): void
    {
        $jobs = WorkSpell::query()->where('person_id', $person->id)->whereNull('ended_at')->pluck('job_id');
        foreach (Job::query()->whereKey($jobs)->get() as $job) {
            $this->hands->off($job, $person);
        }
    }
}
