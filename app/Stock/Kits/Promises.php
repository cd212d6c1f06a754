<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Intake\Job;
use App\Shop\Person;
use App\Stock\Parts\Part;

/** What is promised to which job. Called inside a running write that holds the part’s lock. */
final class Promises
{
    public function toOthers(Part $part, Job $job): int
    {
        return (int) Reservation::query()->where('part_id', $part->id)->where('job_id', '<>', $job->id)->sum('quantity');
    }

    /** @return list<string> tags of the machines it is promised to */
    public function jobs(Part $part, Job $job): array
    {
        return array_values(Reservation::query()->with('job.machine')->where('part_id', $part->id)->where('job_id', '<>', $job->id)->get()
            ->map(static fn (Reservation $r): string => $r->job->machine->tag)->all());
    }

    /** A job takes what was promised to it: the promise is kept. */
    public function taken(Part $part, Job $job, int $quantity): void
    {
        $own = Reservation::query()->where(['part_id' => $part->id, 'job_id' => $job->id])->first();
        if ($own === null) {
            return;
        }
        $own->quantity > $quantity ? $own->update(['quantity' => $own->quantity - $quantity]) : $own->delete();
    }

    public function promise(Part $part, Job $job, int $quantity, Person $by): void
    {
        Reservation::query()->updateOrCreate(
            ['part_id' => $part->id, 'job_id' => $job->id],
            ['quantity' => $quantity, 'person_id' => $by->id, 'at' => now()],
        );
    }

    /** A job that ends needs nothing any more. */
    public function release(Job $job): void
    {
        Reservation::query()->where('job_id', $job->id)->delete();
    }
}
