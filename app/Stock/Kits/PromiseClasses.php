<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Intake\Job;
use App\Shop\Person;
use App\Stock\Parts\Part;
use App\Stock\Parts\PartChoice;
use OddBench\Knowledge\Knowledge;

/** Promises a job parts of some classes, the ones its family usually gets, as far as they are free. Called inside a running write. */
final readonly class PromiseClasses
{
    public function __construct(private Knowledge $knowledge, private Promises $promises)
    {
    }

    /**
     * @param  array<string, int>  $classes  class of part => how many more
     * @return list<string> what was promised, in words
     */
    public function promise(Job $job, array $classes, Person $by): array
    {
        $best = PartChoice::best([$job->machine->family => array_keys($classes)], $this->knowledge)[$job->machine->family] ?? [];
        $ids = array_map(static fn (Part $p): int => $p->id, array_values($best));
        $said = [];
        // in order and locked, so that two jobs cannot be promised the last one
        foreach (Part::query()->whereIn('id', $ids)->orderBy('id')->lockForUpdate()->get() as $part) {
            $own = (int) Reservation::query()->where(['part_id' => $part->id, 'job_id' => $job->id])->sum('quantity');
            $count = min($own + $classes[$part->class], $part->on_hand - $this->promises->toOthers($part, $job));
            if ($count > $own) {
                $this->promises->promise($part, $job, $count, $by);
                $said[] = "{$count} × {$part->name}, bin {$part->bin}";
            }
        }

        return $said;
    }
}
