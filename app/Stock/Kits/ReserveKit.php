<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use App\Stock\Parts\Part;
use OddBench\Knowledge\Guide;
use OddBench\Machines\Tag;

/** Promises a guide’s parts to a job: all that are there; what is short is said. */
final readonly class ReserveKit
{
    public function __construct(private JobRecord $record, private KitQuery $kit, private Promises $promises)
    {
    }

    public function reserve(Job $job, Guide $guide, ?string $school, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($guide, $school, $by): Said {
            $numbers = array_filter(array_map(
                static fn (KitLineView $l): ?string => $l->part,
                $this->kit->of($job, $guide, $school)->lines,
            ));
            // under the locks of all of them, so that two jobs cannot be promised the last one
            $parts = Part::query()->whereIn('number', $numbers)->orderBy('id')->lockForUpdate()->get()->keyBy('number');
            $said = [];
            foreach ($this->kit->of($job, $guide, $school)->lines as $line) {
                $part = $line->part === null ? null : $parts->get($line->part);
                $count = min($line->count, $line->free);
                if ($part !== null && $count > 0 && ! $line->ifNeeded) {
                    $this->promises->promise($part, $job, $count, $by);
                    $said[] = "{$count} × {$part->name}, bin {$part->bin}";
                }
            }
            if ($said === []) {
                throw Refused::because('kit', 'Nothing of this kit is free on the shelf, so nothing could be promised.');
            }

            return new Said('promised', 'Promised to this job: '.implode('; ', $said));
        });
    }

    /** So many of one part to the job of a machine; 0 takes the promise back. */
    public function one(Part $part, string $tag, int $quantity, Person $by): void
    {
        $job = Job::query()->whereNull('finished_at')->whereHas(
            'machine',
            static fn ($q) => $q->where('tag', Tag::read($tag)->text()),
        )->first() ?? throw Refused::notFound('tag', "No job of {$tag} is open. Book the machine in first.");
        $this->record->write($job, $by, null, function (Job $job) use ($part, $quantity, $by): Said {
            $part = Part::query()->lockForUpdate()->findOrFail($part->id);
            $free = $part->on_hand - $this->promises->toOthers($part, $job);
            if ($quantity > $free) {
                throw Refused::because(
                    'quantity',
                    "{$part->on_hand} of {$part->name} are there, and ".max(0, $free).' of them not promised to another job.',
                );
            }
            if ($quantity === 0) {
                Reservation::query()->where(['part_id' => $part->id, 'job_id' => $job->id])->delete();

                return new Said('promised', "{$part->name} is not promised any more");
            }
            $this->promises->promise($part, $job, $quantity, $by);

            return new Said('promised', "Promised to this job: {$quantity} × {$part->name}, bin {$part->bin}");
        }, byHand: false);
    }

    public function release(Job $job, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job): Said {
            $this->promises->release($job);

            return new Said('promised', 'Promised parts released');
        });
    }
}
