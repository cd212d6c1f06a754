<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Machines\CounterSource;
use App\Machines\HoursQuery;
use App\Machines\Machine;
use App\Machines\NoteHours;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Station;

/** Opens a job for a machine: it stands at Make safe with what was told as its first findings. */
final readonly class BookIn
{
    /** @param  iterable<HearsBooking>  $rooms */
    public function __construct(
        private JobRecord $record,
        private NoteHours $noteHours,
        private HoursQuery $hours,
        private KeepAccessories $accessories,
        private iterable $rooms,
        private HearsPromise $promises,
    ) {
    }

    /**
     * @throws InputError when the counter fell or ran quicker than the clock
     * @throws Refused when the machine is on the bench already, or was scrapped
     */
    public function book(Machine $machine, Booking $booking, Person $by): Job
    {
        return DB::transaction(function () use ($machine, $booking, $by): Job {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $this->refuseImpossible($machine);
            if ($booking->hours !== null) {
                $this->noteHours->note($machine, $booking->hours, CounterSource::Booking, $by, beganAnew: $booking->counterBeganAnew);
            }
            $run = $this->hours->ofOne($machine);
            $machine->update(['place' => 'bench']);
            $this->hours->forget();
            $job = Job::query()->create([
                'machine_id' => $machine->id,
                'kind' => $booking->kind,
                'station' => Station::Safety,
                'station_since' => now(),
                'complaint' => $booking->complaint,
                'screen_said' => $booking->screenSaid,
                'came_along' => $booking->cameAlong,
                'began' => $booking->began->value,
                'hours' => $run === null ? $machine->hoursRun() : round($run->hours, 1),
                'hours_about' => $run?->read === false,
                'promised_for' => $booking->promisedFor,
                'version' => 1,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            $this->accessories->write($job, $booking->accessories);
            $this->record->note($job, $by, new Said('booked-in', "Booked in for {$booking->kind->value}: “{$booking->complaint}”"));
            foreach ($this->rooms as $room) {
                $room->booked($job, $booking, $by);
            }
            $this->record->settle($job);
            if ($booking->promisedFor !== null) {
                $this->promises->promised($job, 'book-in', $by);
            }

            return $job;
        });
    }

    private function refuseImpossible(Machine $machine): void
    {
        $open = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->value('id');
        if ($open !== null) {
            throw Refused::because('tag', "{$machine->tag} is on the bench already, as job {$open}. Open that job.");
        }
        if ($machine->place === 'scrap') {
            throw Refused::because('tag', "{$machine->tag} was scrapped; it does not come back under its tag.");
        }
    }
}
