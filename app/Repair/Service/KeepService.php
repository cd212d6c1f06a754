<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Api\Refused;
use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Machines\Machine;
use App\Machines\ServiceDone;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\ServiceItem;

/** Opens service jobs for what is due, and notes what was done. */
final readonly class KeepService
{
    public function __construct(private Knowledge $knowledge, private BookIn $bookIn, private JobRecord $record)
    {
    }

    /** @param  list<string>  $items */
    public function open(Machine $machine, array $items, ?float $hours, Person $by): Job
    {
        $names = array_map(fn (string $item, int $i): string => $this->item($item, "items.{$i}")->name, $items, array_keys($items));
        if ($names === []) {
            throw InputError::at('items', 'Choose at least one thing to do.');
        }

        return $this->openFor($machine, $items, 'Service: '.implode(', ', $names), $hours, $by);
    }

    /** @param  list<string>  $items  that come round; none when it is for something else */
    public function openFor(Machine $machine, array $items, string $what, ?float $hours, Person $by): Job
    {
        return DB::transaction(function () use ($machine, $items, $what, $hours, $by): Job {
            $job = $this->bookIn->book($machine, new Booking(JobKind::Service, $what, Began::NotKnown, $hours), $by);
            $job->update(['service_items' => $items, 'find_passed_because' => 'service, nothing is complained of']);

            return $job;
        });
    }

    /** Notes one thing as done without a guide. */
    public function done(Job $job, string $item, Person $by): Job
    {
        $known = $this->item($item, 'item');

        return $this->record->write($job, $by, null, function (Job $job) use ($known, $by): Said {
            if (ServiceDone::query()->where(['job_id' => $job->id, 'item' => $known->code])->exists()) {
                throw Refused::because('item', "“{$known->name}” is noted as done already.");
            }
            $this->put($job, $known, $by);

            return new Said('service', "Service done: {$known->name}");
        }, at: OnlyAt::the('service is done', Station::Repair));
    }

    /** Inside a running write: what the job is for and this guide does. */
    public function doneByGuide(Job $job, string $guide, Person $by): void
    {
        foreach ($job->service_items ?? [] as $code) {
            $item = $this->knowledge->service[$code] ?? null;
            if ($item?->guide === $guide && ! ServiceDone::query()->where(['job_id' => $job->id, 'item' => $code])->exists()) {
                $this->put($job, $item, $by);
            }
        }
    }

    private function put(Job $job, ServiceItem $item, Person $by): void
    {
        ServiceDone::query()->create([
            'machine_id' => $job->machine_id,
            'item' => $item->code,
            'job_id' => $job->id,
            'hours' => $job->hours,
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }

    private function item(string $code, string $field): ServiceItem
    {
        return $this->knowledge->service[$code] ?? throw InputError::unknown(
            $field,
            'service',
            $code,
            array_keys($this->knowledge->service),
        );
    }
}
