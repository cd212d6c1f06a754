<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Station;

/** Opens a job for a machine: it stands at Make safe with what was told as its first findings. */
final readonly class BookIn
{
    /** @param  iterable<HearsBooking>  $rooms */
    public function __construct(private JobRecord $record, private iterable $rooms)
    {
    }

    /**
     * @throws InputError when the hours run backwards
     * @throws Refused when the machine is on the bench already, or was scrapped
     */
    public function book(Machine $machine, Booking $booking, Person $by): Job
    {
        return DB::transaction(function () use ($machine, $booking, $by): Job {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $this->refuseImpossible($machine, $booking);
            $hours = $booking->hours ?? $machine->hoursRun();
            $machine->update(['hours' => $hours, 'place' => 'bench']);
            $job = Job::query()->create([
                'machine_id' => $machine->id,
                'kind' => $booking->kind,
                'station' => Station::Safety,
                'station_since' => now(),
                'complaint' => $booking->complaint,
                'screen_said' => $booking->screenSaid,
                'came_along' => $booking->cameAlong,
                'began' => $booking->began->value,
                'hours' => $hours,
                'promised_for' => $booking->promisedFor,
                'version' => 1,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            $this->record->note($job, $by, new Said('booked-in', "Booked in for {$booking->kind->value}: “{$booking->complaint}”"));
            foreach ($this->rooms as $room) {
                $room->booked($job, $booking, $by);
            }
            $this->record->settle($job);

            return $job;
        });
    }

    private function refuseImpossible(Machine $machine, Booking $booking): void
    {
        $open = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->value('id');
        if ($open !== null) {
            throw Refused::because('tag', "{$machine->tag} is on the bench already, as job {$open}. Open that job.");
        }
        if ($machine->place === 'scrap') {
            throw Refused::because('tag', "{$machine->tag} was scrapped; it does not come back under its tag.");
        }
        $last = $machine->hoursRun();
        if ($booking->hours !== null && $last !== null && $booking->hours < $last) {
            throw InputError::at(
                'hours',
                "The hours run backwards: {$machine->tag} had {$last} h at its last visit, and {$booking->hours} h is less. Read the counter again; if the board was changed, book it in without hours.",
            );
        }
    }
}
